import { routeCode } from '../../../http/route-param'
import { getQuery } from 'h3'
import { readingsPageQuery } from '#shared/contracts/smoke'
import { readRoute } from '../../../http/read-route'
import { refuse } from '../../../services/context'
import { olderReadings } from '../../../services/views/run-view'

/** Earlier readings of a smoke, a page at a time. */
export default readRoute(async ({ event, tables }) => {
  const query = readingsPageQuery.safeParse(getQuery(event))
  return query.success ? olderReadings(tables, routeCode(event), query.data.skip) : refuse('no_such_page')
})

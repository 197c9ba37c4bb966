import { routeCode } from '../../../http/route-param'
import { getQuery } from 'h3'
import { weighingQuery } from '#shared/contracts/weighing'
import { readRoute } from '../../../http/read-route'
import { refuse } from '../../../services/context'
import { weighingView } from '../../../services/views/weighing-view'

/** What weighing the meat would show, where nobody saw how much liquid left. */
export default readRoute(async ({ tables, event, nowMs }) => {
  const query = weighingQuery.safeParse(getQuery(event))
  return query.success
    ? weighingView(tables, routeCode(event), query.data, nowMs)
    : refuse('no_such_piece')
})

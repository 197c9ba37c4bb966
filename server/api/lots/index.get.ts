import { getQuery } from 'h3'
import { lotListQuery } from '#shared/contracts/lots'
import { readRoute } from '../../http/read-route'
import { refuse } from '../../services/context'
import { lotList } from '../../services/views/lot-list'

export default readRoute(async ({ event, tables, nowMs }) => {
  const query = lotListQuery.safeParse(getQuery(event))
  return query.success ? lotList(tables, query.data, nowMs) : refuse('no_such_page')
})

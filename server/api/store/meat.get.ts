import { getQuery } from 'h3'
import { storePageQuery } from '#shared/contracts/store'
import { readRoute } from '../../http/read-route'
import { refuse } from '../../http/reply'
import { usedUp } from '../../services/store/store-view'

/** Meat that is used up, a page at a time. */
export default readRoute(async ({ event, tables }) => {
  const query = storePageQuery.safeParse(getQuery(event))
  return query.success ? usedUp(tables, 'meat', query.data.before) : refuse('no_such_page')
})

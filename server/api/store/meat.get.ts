import { getQuery } from 'h3'
import { storePageQuery } from '#shared/contracts/store'
import { readRoute } from '../../http/read-route'
import { refuse } from '../../services/context'
import { meatPage } from '../../services/views/store-view'

/** Meat that came in, a page at a time. */
export default readRoute(async ({ event, tables }) => {
  const query = storePageQuery.safeParse(getQuery(event))
  return query.success ? meatPage(tables, query.data.before) : refuse('no_such_page')
})

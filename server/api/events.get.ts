import { getQuery } from 'h3'
import { bookPageQuery } from '#shared/contracts/events'
import { readRoute } from '../http/read-route'
import { refuse } from '../services/context'
import { eventPage } from '../services/views/event-views'

export default readRoute(async ({ event, tables }) => {
  const query = bookPageQuery.safeParse(getQuery(event))
  return query.success ? eventPage(tables, query.data.before) : refuse('no_such_page')
})

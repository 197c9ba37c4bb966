import { readRoute } from '../http/read-route'
import { eventViews } from '../services/book/event-views'

export default readRoute(({ tables }) => eventViews(tables, null))

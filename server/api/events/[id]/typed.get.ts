import { routeId } from '../../../http/route-param'
import { readRoute } from '../../../http/read-route'
import { typedOf } from '../../../services/views/event-views'

/** What one record holds as typed. */
export default readRoute(({ event, tables }) => typedOf(tables, routeId(event)))

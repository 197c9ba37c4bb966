import { routeCode } from '../../http/route-param'
import { readRoute } from '../../http/read-route'
import { lotView } from '../../services/views/lot-view'

export default readRoute(({ tables, event, nowMs }) => lotView(tables, routeCode(event), nowMs))

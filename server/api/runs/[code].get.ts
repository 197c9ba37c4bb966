import { routeCode } from '../../http/route-param'
import { readRoute } from '../../http/read-route'
import { runView } from '../../services/views/run-view'

export default readRoute(({ tables, event, nowMs }) => runView(tables, routeCode(event), nowMs))

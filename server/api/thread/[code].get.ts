import { routeCode } from '../../http/route-param'
import { readRoute } from '../../http/read-route'
import { threadView } from '../../services/ledger/thread-view'

export default readRoute(({ tables, event }) => threadView(tables, routeCode(event)))

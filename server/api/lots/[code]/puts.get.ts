import { routeCode } from '../../../http/route-param'
import { readRoute } from '../../../http/read-route'
import { putChoices } from '../../../services/views/put-choices'

/** What may go on a lot after its rub. */
export default readRoute(({ tables, event, nowMs }) => putChoices(tables, routeCode(event), nowMs))

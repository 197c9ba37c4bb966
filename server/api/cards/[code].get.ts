import { routeCode } from '../../http/route-param'
import { readRoute } from '../../http/read-route'
import { cardView } from '../../services/cards/cards'

export default readRoute(({ tables, event }) => cardView(tables, routeCode(event)))

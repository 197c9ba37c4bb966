import { getRouterParam } from 'h3'
import { readRoute } from '../../http/read-route'
import { cardView } from '../../services/cards/cards'

export default readRoute(({ tables, event }) => cardView(tables, getRouterParam(event, 'code')!))

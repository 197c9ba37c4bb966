import { getRouterParam } from 'h3'
import { readRoute } from '../../http/read-route'
import { lotView } from '../../services/views/lot-view'

export default readRoute(({ tables, event, nowMs }) => lotView(tables, getRouterParam(event, 'code')!, nowMs))

import { getRouterParam } from 'h3'
import { readRoute } from '../../http/read-route'
import { runView } from '../../services/views/run-view'

export default readRoute(({ tables, event, nowMs }) => runView(tables, getRouterParam(event, 'code')!, nowMs))

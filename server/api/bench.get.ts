import { readRoute } from '../http/read-route'
import { benchView } from '../services/views/bench-view'

export default readRoute(({ tables, nowMs }) => benchView(tables, nowMs))

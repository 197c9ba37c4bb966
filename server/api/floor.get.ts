import { appState } from '../http/app-state'
import { readRoute } from '../http/read-route'
import { floorView } from '../services/views/floor-view'

export default readRoute(({ tables, nowMs }) => floorView(tables, nowMs, appState().settings.dataFolder))

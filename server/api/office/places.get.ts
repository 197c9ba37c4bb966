import { readRoute } from '../../http/read-route'
import { officePlaces } from '../../services/views/office-view'

export default readRoute(({ tables, nowMs }) => officePlaces(tables, nowMs))

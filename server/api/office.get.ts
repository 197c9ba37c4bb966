import { readRoute } from '../http/read-route'
import { officeView } from '../services/views/office-view'

export default readRoute(({ tables, person, at, nowMs }) =>
  officeView(tables, { person, sessionId: at.session.id, onTablet: at.session.shared, nowMs }),
)

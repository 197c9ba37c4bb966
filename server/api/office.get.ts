import { readRoute } from '../http/read-route'
import { officeView } from '../services/office/office-view'

export default readRoute(({ tables, person, at, nowMs }) =>
  officeView(tables, { person, sessionId: at.session.id, onTablet: at.session.shared, nowMs }),
)

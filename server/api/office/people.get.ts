import { readRoute } from '../../http/read-route'
import { officePeople } from '../../services/views/office-view'

export default readRoute(({ tables, person, at, nowMs }) =>
  officePeople(tables, { person, sessionId: at.session.id, onTablet: at.session.shared, nowMs }),
)

import { readRoute } from '../../http/read-route'
import { doorView } from '../../services/people/door-view'

export default readRoute(({ tables }) => doorView(tables), ['owner'])

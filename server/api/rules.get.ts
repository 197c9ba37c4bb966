import { readRoute } from '../http/read-route'
import { rulesView } from '../services/rules/rule-sets'

export default readRoute(({ tables }) => rulesView(tables))

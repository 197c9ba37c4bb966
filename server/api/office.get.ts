import { readRoute } from '../http/read-route'
import { officeView } from '../services/office/office'

export default readRoute(({ tables }) => officeView(tables))

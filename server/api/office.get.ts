import { readRoute } from '../http/read-route'
import { officeView } from '../services/office/office-view'

export default readRoute(({ tables, ...reader }) => officeView(tables, reader))

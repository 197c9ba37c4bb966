import { readRoute } from '../../http/read-route'
import { officeMine } from '../../services/views/office-view'

export default readRoute(({ tables, person }) => officeMine(tables, person))

import { readRoute } from '../../http/read-route'
import { storeView } from '../../services/views/store-view'

export default readRoute(({ tables }) => storeView(tables))

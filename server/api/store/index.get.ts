import { readRoute } from '../../http/read-route'
import { storeView } from '../../services/store/store-view'

export default readRoute(({ tables }) => storeView(tables))

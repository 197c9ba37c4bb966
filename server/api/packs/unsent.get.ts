import { readRoute } from '../../http/read-route'
import { unsentPacks } from '../../services/store-rows/unsent-packs'

export default readRoute(({ tables }) => unsentPacks(tables))

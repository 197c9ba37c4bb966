import { readRoute } from '../../http/read-route'
import { unsentPacks } from '../../services/slicing/unsent-packs'

export default readRoute(({ tables }) => unsentPacks(tables))

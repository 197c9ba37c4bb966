import { bulkMixInput } from '#shared/contracts/rub'
import { writeRoute } from '../http/write-route'
import { makeMix } from '../services/store/make-mix'

export default writeRoute({ contract: bulkMixInput, write: makeMix })

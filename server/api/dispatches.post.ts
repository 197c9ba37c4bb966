import { dispatchInput } from '#shared/contracts/slicing'
import { writeRoute } from '../http/write-route'
import { sendPacks } from '../services/slicing/send-packs'

export default writeRoute({ contract: dispatchInput, write: sendPacks })

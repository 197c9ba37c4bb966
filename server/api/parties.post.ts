import { partyInput } from '#shared/contracts/store'
import { writeRoute } from '../http/write-route'
import { addParty } from '../services/store/parties'

export default writeRoute({ contract: partyInput, write: addParty })

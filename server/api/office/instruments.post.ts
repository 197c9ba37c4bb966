import { instrumentInput } from '#shared/contracts/instruments'
import { writeRoute } from '../../http/write-route'
import { addInstrument } from '../../services/instruments/manage'

export default writeRoute({ contract: instrumentInput, roles: ['owner'], write: addInstrument })

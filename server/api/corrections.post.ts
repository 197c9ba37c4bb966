import { correctionInput } from '#shared/contracts/corrections'
import { writeRoute } from '../http/write-route'
import { correct } from '../services/corrections/correct'

export default writeRoute({ contract: correctionInput, write: correct })

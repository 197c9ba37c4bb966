import { cardInput } from '#shared/contracts/cards'
import { writeRoute } from '../http/write-route'
import { layCard } from '../services/cards/cards'

export default writeRoute({ contract: cardInput, write: layCard })

import { ingredientInput } from '#shared/contracts/store'
import { writeRoute } from '../http/write-route'
import { receiveIngredient } from '../services/store/receive'

export default writeRoute({ contract: ingredientInput, write: receiveIngredient })

import { ingredientInput } from '#shared/contracts/store'
import { writeRoute } from '../http/write-route'
import { receiveIngredient } from '../services/store/receive-ingredient'

export default writeRoute({ contract: ingredientInput, write: receiveIngredient })

import { recipeInput } from '#shared/contracts/recipes'
import { writeRoute } from '../http/write-route'
import { addRecipe } from '../services/recipes/recipes'

export default writeRoute({ contract: recipeInput, write: addRecipe })

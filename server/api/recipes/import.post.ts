import { recipeFile } from '#shared/contracts/recipes'
import { writeRoute } from '../../http/write-route'
import { importRecipes } from '../../services/recipes/recipes'

export default writeRoute({ contract: recipeFile, write: importRecipes })

import { routeCode } from '../../../http/route-param'
import { recipeRetireInput } from '#shared/contracts/recipes'
import { writeRoute } from '../../../http/write-route'
import { retireRecipe } from '../../../services/recipes/recipes'

export default writeRoute({
  contract: recipeRetireInput,
  write: (ctx, input, event) => retireRecipe(ctx, routeCode(event), input),
})

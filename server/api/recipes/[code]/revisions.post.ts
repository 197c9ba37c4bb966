import { routeCode } from '../../../http/route-param'
import { recipeInput } from '#shared/contracts/recipes'
import { writeRoute } from '../../../http/write-route'
import { reviseRecipe } from '../../../services/recipes/recipes'

export default writeRoute({
  contract: recipeInput,
  write: (ctx, input, event) => reviseRecipe(ctx, routeCode(event), input),
})

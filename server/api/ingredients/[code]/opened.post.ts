import { routeCode } from '../../../http/route-param'
import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { openIngredient } from '../../../services/store/receive-ingredient'

export default writeRoute({
  contract: emptyInput,
  write: (ctx, _input, event) => openIngredient(ctx, routeCode(event)),
})

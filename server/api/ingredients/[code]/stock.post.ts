import { routeCode } from '../../../http/route-param'
import { stockMoveInput } from '#shared/contracts/store'
import { writeRoute } from '../../../http/write-route'
import { moveStock } from '../../../services/store/move-stock'

export default writeRoute({
  contract: stockMoveInput,
  write: (ctx, input, event) => moveStock(ctx, routeCode(event), input),
})

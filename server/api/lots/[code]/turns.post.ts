import { routeCode } from '../../../http/route-param'
import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { turnLot } from '../../../services/press/cure-steps'

export default writeRoute({
  contract: emptyInput,
  write: (ctx, _input, event) => turnLot(ctx, routeCode(event)),
})

import { routeCode } from '../../../http/route-param'
import { holdInput } from '#shared/contracts/holds'
import { writeRoute } from '../../../http/write-route'
import { holdByHand } from '../../../services/holds/holds'

export default writeRoute({
  contract: holdInput,
  write: (ctx, input, event) => holdByHand(ctx, routeCode(event), input.text),
})

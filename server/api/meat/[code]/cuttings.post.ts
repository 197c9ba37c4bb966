import { routeCode } from '../../../http/route-param'
import { cuttingInput } from '#shared/contracts/store'
import { writeRoute } from '../../../http/write-route'
import { cutMeat } from '../../../services/store/cut-meat'

export default writeRoute({
  contract: cuttingInput,
  write: (ctx, input, event) => cutMeat(ctx, routeCode(event), input),
})

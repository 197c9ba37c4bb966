import { routeCode } from '../../../http/route-param'
import { slicingInput } from '#shared/contracts/slicing'
import { writeRoute } from '../../../http/write-route'
import { recordSlicing } from '../../../services/slicing/record-slicing'

export default writeRoute({
  contract: slicingInput,
  write: (ctx, input, event) => recordSlicing(ctx, routeCode(event), input),
})

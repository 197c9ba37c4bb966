import { routeCode } from '../../../http/route-param'
import { packReturnInput } from '#shared/contracts/returns'
import { writeRoute } from '../../../http/write-route'
import { returnPack } from '../../../services/slicing/return-pack'

export default writeRoute({
  contract: packReturnInput,
  write: (ctx, input, event) => returnPack(ctx, routeCode(event), input),
})

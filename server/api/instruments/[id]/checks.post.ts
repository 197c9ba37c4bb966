import { checkInput } from '#shared/contracts/instruments'
import { routeId } from '../../../http/route-id'
import { writeRoute } from '../../../http/write-route'
import { recordCheck } from '../../../services/instruments/manage'

export default writeRoute({
  contract: checkInput,
  write: (ctx, input, event) => recordCheck(ctx, routeId(event), input),
})

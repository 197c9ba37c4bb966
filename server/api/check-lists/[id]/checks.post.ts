import { checkInput } from '#shared/contracts/checks'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { recordCheck } from '../../../services/checks/record-check'

export default writeRoute({
  contract: checkInput,
  write: (ctx, input, event) => recordCheck(ctx, routeId(event), input),
})

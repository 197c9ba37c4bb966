import { routeCode } from '../../../http/route-param'
import { planChangeInput } from '#shared/contracts/plans'
import { writeRoute } from '../../../http/write-route'
import { changePlan } from '../../../services/plans/change-plan'

/** What is intended with a lot from now on. */
export default writeRoute({
  contract: planChangeInput,
  write: (ctx, input, event) => changePlan(ctx, routeCode(event), input),
})

import { returnDecisionInput } from '#shared/contracts/returns'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { decideReturn } from '../../../services/slicing/return-pack'

export default writeRoute({
  contract: returnDecisionInput,
  roles: ['owner'],
  write: (ctx, input, event) => decideReturn(ctx, routeId(event), input),
})

import { fridgeInput } from '#shared/contracts/instruments'
import { routeId } from '../../../http/route-id'
import { writeRoute } from '../../../http/write-route'
import { changeFridge } from '../../../services/instruments/manage'

export default writeRoute({
  contract: fridgeInput,
  roles: ['owner'],
  write: (ctx, input, event) => changeFridge(ctx, routeId(event), input),
})

import { instrumentChangeInput } from '#shared/contracts/instruments'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { changeInstrument } from '../../../services/instruments/manage'

export default writeRoute({
  contract: instrumentChangeInput,
  roles: ['owner'],
  write: (ctx, input, event) => changeInstrument(ctx, routeId(event), input),
})

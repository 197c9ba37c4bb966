import { instrumentCheckInput } from '#shared/contracts/instruments'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { recordInstrumentCheck } from '../../../services/instruments/manage'

export default writeRoute({
  contract: instrumentCheckInput,
  write: (ctx, input, event) => recordInstrumentCheck(ctx, routeId(event), input),
})

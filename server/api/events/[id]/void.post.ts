import { voidInput } from '#shared/contracts/voids'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { voidRecord } from '../../../services/voids/void-record'

export default writeRoute({
  contract: voidInput,
  write: (ctx, input, event) => voidRecord(ctx, routeId(event), input.reason),
})

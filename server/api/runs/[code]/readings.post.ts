import { routeCode } from '../../../http/route-param'
import { runReadingsInput } from '#shared/contracts/smoke'
import { writeRoute } from '../../../http/write-route'
import { addReadings } from '../../../services/smoke/runs'

export default writeRoute({
  contract: runReadingsInput,
  write: (ctx, input, event) => addReadings(ctx, routeCode(event), input),
})

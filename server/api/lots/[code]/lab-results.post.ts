import { routeCode } from '../../../http/route-param'
import { labResultInput } from '#shared/contracts/rub'
import { writeRoute } from '../../../http/write-route'
import { recordLabResult } from '../../../services/lots/after-rub'

export default writeRoute({
  contract: labResultInput,
  write: (ctx, input, event) => recordLabResult(ctx, routeCode(event), input),
})

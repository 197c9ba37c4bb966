import { routeCode } from '../../../http/route-param'
import { secondApplicationInput } from '#shared/contracts/rub'
import { writeRoute } from '../../../http/write-route'
import { applySecond } from '../../../services/lots/after-rub'

export default writeRoute({
  contract: secondApplicationInput,
  write: (ctx, input, event) => applySecond(ctx, routeCode(event), input),
})

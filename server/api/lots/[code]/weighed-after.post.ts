import { routeCode } from '../../../http/route-param'
import { weighedAfterInput } from '#shared/contracts/rub'
import { writeRoute } from '../../../http/write-route'
import { weighAfter } from '../../../services/lots/after-rub'

export default writeRoute({
  contract: weighedAfterInput,
  write: (ctx, input, event) => weighAfter(ctx, routeCode(event), input),
})

import { routeCode } from '../../../http/route-param'
import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { pullRun } from '../../../services/smoke/runs'

export default writeRoute({
  contract: emptyInput,
  write: (ctx, _input, event) => pullRun(ctx, routeCode(event)),
})

import { routeCode } from '../../../http/route-param'
import { outInput } from '#shared/steps/press'
import { writeRoute } from '../../../http/write-route'
import { endCure } from '../../../services/press/cure-steps'

export default writeRoute({
  contract: outInput,
  write: (ctx, input, event) => endCure(ctx, routeCode(event), input.despite),
})

import { dispositionInput } from '#shared/contracts/holds'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { dispose } from '../../../services/holds/holds'

export default writeRoute({
  contract: dispositionInput,
  roles: ['owner'],
  write: (ctx, input, event) => dispose(ctx, routeId(event), input),
})

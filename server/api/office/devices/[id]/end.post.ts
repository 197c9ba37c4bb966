import { emptyInput } from '#shared/contracts/lots'
import { routeId } from '../../../../http/route-param'
import { writeRoute } from '../../../../http/write-route'
import { endDevice } from '../../../../services/people/accounts'

export default writeRoute({
  contract: emptyInput,
  roles: ['owner'],
  write: (ctx, _input, event) => endDevice(ctx, routeId(event)),
})

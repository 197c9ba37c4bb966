import { emptyInput } from '#shared/contracts/lots'
import { ROLES } from '#shared/contracts/people'
import { routeId } from '../../../../http/route-param'
import { writeRoute } from '../../../../http/write-route'
import { endOwnDevice } from '../../../../services/people/accounts'

export default writeRoute({
  contract: emptyInput,
  roles: ROLES,
  ownSignIn: true,
  write: (ctx, _input, event) => endOwnDevice(ctx, routeId(event)),
})

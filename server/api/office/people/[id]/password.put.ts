import { passwordResetInput } from '#shared/contracts/people'
import { routeId } from '../../../../http/route-param'
import { writeRoute } from '../../../../http/write-route'
import { resetPassword } from '../../../../services/people/accounts'

export default writeRoute({
  contract: passwordResetInput,
  roles: ['owner'],
  confirmed: true,
  write: (ctx, input, event) => resetPassword(ctx, routeId(event), input),
})

import { personChangeInput } from '#shared/contracts/people'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { changePerson } from '../../../services/people/accounts'

export default writeRoute({
  contract: personChangeInput,
  roles: ['owner'],
  confirmed: true,
  write: (ctx, input, event) => changePerson(ctx, routeId(event), input),
})

import { getRouterParam } from 'h3'
import { personChangeInput } from '#shared/contracts/people'
import { writeRoute } from '../../../http/write-route'
import { changePerson } from '../../../services/people/accounts'

export default writeRoute({ contract: personChangeInput, roles: ['owner'], write: (ctx, input, event) => changePerson(ctx, Number(getRouterParam(event, 'id')), input) })

import { ownPasswordInput, ROLES } from '#shared/contracts/people'
import { writeRoute } from '../../http/write-route'
import { changeOwnPassword } from '../../services/people/accounts'

export default writeRoute({ contract: ownPasswordInput, roles: ROLES, ownSignIn: true, write: (ctx, input, _event, at) => changeOwnPassword(ctx, at.session.id, input) })

import { getRouterParam } from 'h3'
import { passwordResetInput } from '#shared/contracts/people'
import { writeRoute } from '../../../../http/write-route'
import { resetPassword } from '../../../../services/people/accounts'

export default writeRoute({ contract: passwordResetInput, roles: ['owner'], write: (ctx, input, event) => resetPassword(ctx, Number(getRouterParam(event, 'id')), input) })

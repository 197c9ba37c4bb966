import { ownPasswordInput, ROLES } from '#shared/contracts/people'
import { appState } from '../../http/app-state'
import { writeRoute } from '../../http/write-route'
import { changeOwnPassword } from '../../services/people/accounts'
import { checkOwnPassword } from '../../services/people/confirm'

export default writeRoute({
  contract: ownPasswordInput,
  roles: ROLES,
  ownSignIn: true,
  before: (input, at, nowMs) => checkOwnPassword(appState().store.tables, at.user, input.password, nowMs),
  write: (ctx, input, _event, at) => changeOwnPassword(ctx, at.session.id, input),
})

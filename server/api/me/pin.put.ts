import { pinInput } from '#shared/contracts/people'
import { appState } from '../../http/app-state'
import { writeRoute } from '../../http/write-route'
import { checkOwnPassword } from '../../services/people/confirm'
import { choosePin } from '../../services/people/pins'

export default writeRoute({
  contract: pinInput,
  ownSignIn: true,
  write: choosePin,
  before: (input, at, nowMs) => checkOwnPassword(appState().store.tables, at.user, input.password, nowMs),
})

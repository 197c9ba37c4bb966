import { confirmInput } from '#shared/contracts/people'
import { appState } from '../../http/app-state'
import { doorRoute } from '../../http/door-route'
import { atDoor } from '../../http/session'
import { refuse } from '../../services/context'
import { confirmSession } from '../../services/people/confirm'

export default doorRoute(confirmInput, async (event, input) => {
  const at = await atDoor(event)
  return at ? await confirmSession(appState().store.tables, at, input.password, Date.now()) : refuse('not_signed_in')
})

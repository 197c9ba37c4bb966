import { emptyInput } from '#shared/contracts/lots'
import { appState } from '../../http/app-state'
import { doorRoute } from '../../http/door-route'
import { atDoor } from '../../http/session'
import { refuse } from '../../services/context'
import { stepAway } from '../../services/people/pins'

export default doorRoute(emptyInput, async (event) => {
  const at = await atDoor(event)
  if (!at) return refuse('not_signed_in')
  await stepAway(appState().store.tables, at)
  return { ok: true, value: {} }
})

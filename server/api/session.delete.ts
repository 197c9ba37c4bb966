import { emptyInput } from '#shared/contracts/lots'
import { appState } from '../http/app-state'
import { doorRoute } from '../http/door-route'
import { atDoor, cookieOf } from '../http/session'
import { endSession } from '../services/people/sessions'

/** Ends the session itself, so that a copied cookie opens nothing. */
export default doorRoute(emptyInput, async (event) => {
  const at = await atDoor(event)
  if (at) await endSession(appState().store.tables, at.session, Date.now())
  await (await cookieOf(event)).clear()
  return { ok: true, value: {} }
})

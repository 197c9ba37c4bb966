import { OWN_DEVICE, setupInput } from '#shared/contracts/people'
import { appState } from '../http/app-state'
import { doorRoute } from '../http/door-route'
import { cookieOf } from '../http/session'
import { setUpShop } from '../services/people/set-up-shop'
import { startSession } from '../services/people/sessions'

export default doorRoute(setupInput, async (event, input) => {
  const { store } = appState()
  const nowMs = Date.now()
  const made = await setUpShop(store, input, nowMs)
  if (!made.ok) return made
  const token = await startSession(store.tables, { userId: made.value.id, station: OWN_DEVICE, shared: false }, nowMs)
  await (await cookieOf(event)).update({ token })
  return made
})

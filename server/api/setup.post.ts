import { OWN_DEVICE, setupInput } from '#shared/contracts/people'
import { addressOf } from '../http/address'
import { appState } from '../http/app-state'
import { doorRoute } from '../http/door-route'
import { cookieOf, markDevice } from '../http/session'
import { mayOpenShop, setUpShop } from '../services/people/set-up-shop'
import { OWN_MS, rememberDevice, startSession } from '../services/people/sessions'

export default doorRoute(setupInput, async (event, input) => {
  const { store, settings } = appState()
  const nowMs = Date.now()
  // Looked at before anything costs: the code, and whether there is a shop.
  const may = await mayOpenShop(store, {
    code: input.code,
    wanted: settings.setupCode,
    address: addressOf(event),
    nowMs,
  })
  if (!may.ok) return may
  const made = await setUpShop(store, input, nowMs)
  if (!made.ok) return made
  const token = await startSession(store.tables, { userId: made.value.id, station: OWN_DEVICE, shared: false }, nowMs)
  await (await cookieOf(event, OWN_MS)).update({ token })
  await rememberDevice(store.tables, markDevice(event), made.value.id, nowMs)
  return made
})

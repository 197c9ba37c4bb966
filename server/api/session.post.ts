import { signInInput } from '#shared/contracts/people'
import { addressOf } from '../http/address'
import { appState } from '../http/app-state'
import { doorRoute } from '../http/door-route'
import { cookieOf, deviceToken, markDevice, tokenOf } from '../http/session'
import { refuse } from '../services/context'
import { endToken, knownDevice, OWN_MS, rememberDevice, SHARED_MS, startSession } from '../services/people/sessions'
import { signedIn, signIn } from '../services/people/sign-in'

export default doorRoute(signInInput, async (event, { signIn: name, password, code, station, shared }) => {
  const { store } = appState()
  const { tables } = store
  const nowMs = Date.now()
  const device = await knownDevice(tables, deviceToken(event), name)
  const found = await signIn(
    store,
    { signIn: name, password, code },
    { address: addressOf(event), device, station, nowMs },
  )
  if (!found.ok) return found
  if (shared && found.value.role === 'inspector') return refuse('not_your_role', { role: 'inspector' })
  await endToken(tables, await tokenOf(event, nowMs), nowMs)
  const token = await startSession(tables, { userId: found.value.id, station, shared }, nowMs)
  await (await cookieOf(event, shared ? SHARED_MS : OWN_MS)).update({ token })
  // A tablet on the wall is everybody's: nobody's own tries belong to it.
  if (!shared) await rememberDevice(tables, markDevice(event), found.value.id, nowMs)
  return { ok: true, value: signedIn(found.value) }
})

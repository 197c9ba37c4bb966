import { signInInput } from '#shared/contracts/people'
import { addressOf } from '../http/address'
import { appState } from '../http/app-state'
import { doorRoute } from '../http/door-route'
import { cookieOf } from '../http/session'
import { refuse } from '../services/context'
import { startSession } from '../services/people/sessions'
import { signedIn, signIn } from '../services/people/sign-in'

export default doorRoute(signInInput, async (event, { signIn: name, password, station, shared }) => {
  const { store } = appState()
  const nowMs = Date.now()
  const found = await signIn(store, { signIn: name, password }, addressOf(event), nowMs)
  if (!found.ok) return found
  if (shared && found.value.role === 'inspector') return refuse('not_your_role', { role: 'inspector' })
  const token = await startSession(store.tables, { userId: found.value.id, station, shared }, nowMs)
  await (await cookieOf(event)).update({ token })
  return { ok: true, value: signedIn(found.value) }
})

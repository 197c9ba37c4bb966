import { signatureInput } from '#shared/contracts/people'
import { addressOf } from '../../http/address'
import { appState } from '../../http/app-state'
import { doorRoute } from '../../http/door-route'
import { atDoor } from '../../http/session'
import { refuse } from '../../services/context'
import { signAtStation } from '../../services/people/pins'

export default doorRoute(signatureInput, async (event, input) => {
  const at = await atDoor(event)
  return at ? await signAtStation(appState().store, at, input, addressOf(event), Date.now()) : refuse('not_signed_in')
})

import { setResponseHeaders } from 'h3'
import { exportShop, recordExport } from '../../services/office/take-along'
import { isConfirmed } from '../../services/people/confirm'
import { appState } from '../../http/app-state'
import { readRoute } from '../../http/read-route'
import { refuse } from '../../services/context'
import { streamOut } from '../../http/stream-out'

/**
 * The whole shop as one file, for its owner alone and minutes after the password was given again: it holds what
 * passwords are checked against.
 */
export default readRoute(
  async ({ event, at, person, nowMs }) => {
    if (at.session.shared || !isConfirmed(at.session, nowMs))
      return refuse(at.session.shared ? 'own_sign_in_needed' : 'password_again')
    const { store } = appState()
    await recordExport(store, { actor: person, station: at.session.station, nowMs })
    const name = `veldmoor-shop-${new Date(nowMs).toISOString().slice(0, 10)}.json`
    const stream = await streamOut(event, exportShop(store, nowMs))
    setResponseHeaders(event, {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${name}"`,
    })
    return stream
  },
  ['owner'],
)

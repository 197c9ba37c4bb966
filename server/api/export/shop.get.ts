import { setResponseHeaders } from 'h3'
import { exportShop } from '../../services/office/take-along'
import { appState } from '../../http/app-state'
import { readRoute } from '../../http/read-route'
import { streamOut } from '../../http/stream-out'

/** The whole shop as one file, for its owner alone: it holds what passwords are checked against. */
export default readRoute(async ({ event, nowMs }) => {
  setResponseHeaders(event, { 'content-type': 'application/json', 'content-disposition': `attachment; filename="veldmoor-shop-${new Date(nowMs).toISOString().slice(0, 10)}.json"` })
  return streamOut(event, exportShop(appState().store, nowMs))
}, ['owner'])

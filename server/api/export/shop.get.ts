import { Readable } from 'node:stream'
import { setResponseHeaders } from 'h3'
import { exportShop } from '../../services/office/take-along'
import { appState } from '../../http/app-state'
import { readRoute } from '../../http/read-route'

/** The whole shop as one file, for its owner alone: it holds what passwords are checked against. */
export default readRoute(async ({ event, nowMs }) => {
  setResponseHeaders(event, { 'content-type': 'application/json', 'content-disposition': `attachment; filename="veldmoor-shop-${new Date(nowMs).toISOString().slice(0, 10)}.json"` })
  return Readable.from(exportShop(appState().store, nowMs))
}, ['owner'])

import { routeParam } from '../../../http/route-param'
import { setResponseHeaders } from 'h3'
import { appState } from '../../../http/app-state'
import { readRoute } from '../../../http/read-route'
import { streamOut } from '../../../http/stream-out'
import { csvTable } from '../../../services/office/take-along'

/** One table as CSV, for anyone who may read. */
export default readRoute(async ({ event }) => {
  const name = routeParam(event, 'table')
  const found = csvTable(appState().store, name)
  if (!found.ok) return found
  const stream = await streamOut(event, found.value)
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="${name}.csv"`,
  })
  return stream
})

import { getRouterParam } from 'h3'
import { readRoute } from '../../http/read-route'
import { threadView } from '../../services/ledger/thread-view'

export default readRoute(({ tables, event }) => threadView(tables, getRouterParam(event, 'code')!))

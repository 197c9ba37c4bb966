import { readRoute } from '../http/read-route'
import { saltLedgerView } from '../services/store/salt-ledger-view'

export default readRoute(({ tables, nowMs }) => saltLedgerView(tables, nowMs))

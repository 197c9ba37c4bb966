import { getQuery } from 'h3'
import { saltLedgerQuery } from '#shared/contracts/salt-ledger'
import { readRoute } from '../http/read-route'
import { refuse } from '../services/context'
import { saltLedgerView } from '../services/views/salt-ledger-view'

export default readRoute(async ({ event, tables, nowMs }) => {
  const query = saltLedgerQuery.safeParse(getQuery(event))
  return query.success ? saltLedgerView(tables, nowMs, query.data) : refuse('no_such_page')
})

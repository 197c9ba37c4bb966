import { getQuery } from 'h3'
import { partyQuery } from '#shared/contracts/store'
import { readRoute } from '../http/read-route'
import { refuse } from '../services/context'
import { findParties } from '../services/store/parties'

/** Suppliers and customers, looked for by name. */
export default readRoute(async ({ event, tables }) => {
  const query = partyQuery.safeParse(getQuery(event))
  return query.success ? findParties(tables, query.data) : refuse('no_such_page')
})

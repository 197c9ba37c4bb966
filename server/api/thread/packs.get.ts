import { getQuery } from 'h3'
import { packListQuery } from '#shared/contracts/thread'
import { readRoute } from '../../http/read-route'
import { refuse } from '../../services/context'
import { packList } from '../../services/ledger/pack-list'

/** A bundle of packs, opened. */
export default readRoute(async ({ event, tables }) => {
  const query = packListQuery.safeParse(getQuery(event))
  return query.success ? packList(tables, query.data) : refuse('no_such_page')
})

import { byId } from '#core/lists/by-id'
import { lastOf } from '#core/lists/last-of'
import { atKey } from '#core/lists/at-key'
import { groupBy } from '#core/lists/group-by'
import type { NewerRulesView } from '#shared/contracts/newer-rules'
import type { Tables } from '../../db/database'
import { present } from '../../db/schema/where'

/**
 * Lots that a newer version's rules held, with what of them customers have: that is not held, so the owner is to see who
 * must be told. Packs that came back are in the shop, and held by themselves.
 */
export async function newerRulesView(tables: Tables): Promise<NewerRulesView> {
  const holds = await tables.holds.pick(['lotId', 'reason', 'byRules', 'placedAtMs'], { byRules: present })
  if (holds.length === 0) return { lots: [] }
  const held = groupBy(holds, hold => hold.lotId!)
  const lotId = [...held.keys()]
  const [lots, packs] = await Promise.all([
    tables.lots.pick(['code'], { id: lotId }, { order: [['id', 'ASC']] }),
    tables.packs.pick(['code', 'lotId', 'netG', 'dispatchId'], { lotId, dispatchId: present }, { order: [['id', 'ASC']] }),
  ])
  const sent = [...new Set(packs.map(pack => pack.dispatchId!))]
  const [dispatches, returns] = await Promise.all([
    tables.dispatches.pick(['customerId', 'sentOn'], { id: sent }),
    tables.packReturns.pick(['packId', 'dispatchId'], { dispatchId: sent }),
  ])
  const customers = await tables.parties.pick(['name', 'contact'], { id: dispatches.map(one => one.customerId) })
  const back = new Set(returns.map(one => `${one.packId} ${one.dispatchId}`))
  const customerOf = byId(customers, 'customer')
  const who = new Map(
    dispatches.map(({ id, customerId, sentOn }) => {
      const { name, contact } = customerOf(customerId)
      return [id, { sentOn, customer: name, contact }]
    }),
  )
  return {
    lots: lots.map(({ id, code }) => ({
      code,
      reasons: [...new Set(atKey(held, id).map(hold => hold.reason))],
      by: lastOf(atKey(held, id)).byRules!,
      atMs: lastOf(atKey(held, id)).placedAtMs,
      packs: packs
        .filter(pack => pack.lotId === id && !back.has(`${pack.id} ${pack.dispatchId}`))
        .map(pack => ({ code: pack.code, netG: pack.netG, ...atKey(who, pack.dispatchId!) })),
    })),
  }
}

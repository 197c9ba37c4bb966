import { byId } from '#core/lists/by-id'
import type { Milliseconds } from '#core/units/quantities'
import { COUNT_EVERY_MS } from '#core/rules/house'
import type { StoreConcern } from '#shared/contracts/cold-room'
import type { Tables } from '../../db/database'
import { CLOCK_SLACK_MS } from '../book/append-events'

/** Held meat, packs that came back, curing salt to be counted, and a clock that was set back. */
export async function storeConcern(tables: Tables, nowMs: Milliseconds): Promise<StoreConcern> {
  const [holds, salts, head, returns] = await Promise.all([
    tables.holds.pick(['meatLotId', 'reason'], { lotId: null, disposition: null }),
    tables.ingredientLots.pick(['code', 'name', 'receivedAtMs'], { kind: 'curing_salt', finishedAtMs: null }),
    tables.bookHead.one({ id: 1 }),
    tables.packReturns.pick(['packId', 'lotId', 'reason'], { disposition: null }),
  ])
  const [packs, lots] = await Promise.all([
    tables.packs.pick(['code'], { id: returns.map(one => one.packId) }),
    tables.lots.pick(['code'], { id: returns.map(one => one.lotId) }),
  ])
  const codeOf = (rows: readonly { id: number; code: string }[], id: number) => byId(rows, 'row')(id).code
  const [meat, counts] = await Promise.all([
    tables.meatLots.pick(['code'], { id: holds.map(hold => hold.meatLotId!) }),
    tables.stockMoves.totals('ingredientLotId', {
      max: ['atMs'],
      where: { kind: 'count', ingredientLotId: salts.map(salt => salt.id) },
    }),
  ])
  const lastMs = (id: number, receivedAtMs: Milliseconds) => Math.max(receivedAtMs, counts.get(id)?.max.atMs ?? 0)
  const behindMs = (head?.lastAtMs ?? nowMs) - nowMs
  return {
    heldMeat: holds.flatMap(hold =>
      meat.filter(lot => lot.id === hold.meatLotId).map(lot => ({ code: lot.code, reason: hold.reason })),
    ),
    returned: returns.map(({ packId, lotId, reason }) => ({ code: codeOf(packs, packId), lot: codeOf(lots, lotId), reason })),
    countsDue: salts
      .filter(salt => lastMs(salt.id, salt.receivedAtMs) + COUNT_EVERY_MS < nowMs)
      .map(({ code, name }) => ({ code, name })),
    clockBehindMs: behindMs > CLOCK_SLACK_MS ? behindMs : null,
  }
}

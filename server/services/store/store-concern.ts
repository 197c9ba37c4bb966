import type { Milliseconds } from '#core/units/quantities'
import { COUNT_EVERY_MS } from '#core/rules/house'
import type { StoreConcern } from '#shared/contracts/cold-room'
import type { Tables } from '../../db/database'
import { CLOCK_SLACK_MS } from '../book/append-events'

/** Held meat, curing salt to be counted, and a clock that was set back. */
export async function storeConcern(tables: Tables, nowMs: Milliseconds): Promise<StoreConcern> {
  const [holds, salts, head] = await Promise.all([
    tables.holds.pick(['meatLotId', 'reason'], { lotId: null, disposition: null }),
    tables.ingredientLots.pick(['code', 'name', 'receivedAtMs'], { kind: 'curing_salt', finishedAtMs: null }),
    tables.bookHead.one({ id: 1 }),
  ])
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
    countsDue: salts
      .filter(salt => lastMs(salt.id, salt.receivedAtMs) + COUNT_EVERY_MS < nowMs)
      .map(({ code, name }) => ({ code, name })),
    clockBehindMs: behindMs > CLOCK_SLACK_MS ? behindMs : null,
  }
}

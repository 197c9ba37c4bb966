import type { FreshDatabase } from './database'

/** The old kind of record for a press of one step; what no shop of then could tell becomes a record without effect. */
const OLD_KIND: Record<string, string> = { turn: 'turned', drain: 'drained', out: 'cure_ended' }

/**
 * Presses with a turn, draining or end of cure, told as a shop did before there were steps: records of their own kinds,
 * and rows of turns; what was told in the same press beside it could not be told then. The book's chain no longer holds.
 */
export async function tellAsOnce({ sql }: FreshDatabase): Promise<void> {
  await sql(`INSERT INTO turns (lot_id, at, by_id, voided)
    SELECT s.lot_id, s.from_at, s.by_id, 0 FROM steps s JOIN events e ON e.id = s.event_id
    WHERE s.kind = 'turn' AND e.kind = 'step' AND s.voided = 0`)
  await sql(`UPDATE events e JOIN steps s ON s.event_id = e.id JOIN turns t ON t.lot_id = s.lot_id AND t.at = s.from_at
    SET e.kind = 'turned', e.computed = JSON_OBJECT('turnId', t.id) WHERE e.kind = 'step' AND s.kind = 'turn'`)
  for (const kind of ['drain', 'out'])
    await sql(`UPDATE events e JOIN steps s ON s.event_id = e.id
      SET e.kind = '${OLD_KIND[kind]}', e.computed = '{"beforeMs":null}' WHERE e.kind = 'step' AND s.kind = '${kind}'`)
  for (const [kind, old] of Object.entries(OLD_KIND))
    await sql(`DELETE s FROM steps s JOIN events e ON e.id = s.event_id WHERE e.kind = '${old}' AND s.kind <> '${kind}'`)
}

/** The same in an exported shop: its events and its turns. */
export function exportAsOnce(tables: Record<string, any[]>): void {
  const could = (step: any) => step.kind in OLD_KIND
  const steps = new Map(tables.steps!.toSorted((a, b) => Number(could(a)) - Number(could(b))).map(step => [step.event_id, step]))
  for (const event of tables.events!) {
    // Records did not say yet which rows they told of.
    const { tells: _later, ...computed } = JSON.parse(event.computed)
    event.computed = JSON.stringify(computed)
    if (event.kind !== 'step') continue
    const step = steps.get(event.id)
    event.kind = OLD_KIND[step.kind] ?? 'shop_exported'
    event.typed = '{}'
    event.computed = event.kind === 'drained' || event.kind === 'cure_ended' ? '{"beforeMs":null}' : '{}'
    if (step.kind !== 'turn') continue
    const id = tables.turns!.length + 1
    tables.turns!.push({ id, lot_id: step.lot_id, at: step.from_at, by_id: step.by_id, voided: step.voided })
    event.computed = JSON.stringify({ turnId: id })
  }
}

import { tellsOf } from '#core/book/tells'
import type { Tables } from '../../db/database'

/**
 * Ids of the steps that a record told of, and of those that it ended: as the record says itself, under its seal. One from
 * before records said so is gone by the number that its steps carry.
 */
export async function stepsOfRecord(tables: Tables, eventId: number): Promise<{ told: number[]; ended: number[] }> {
  const [event] = await tables.events.pick(['kind', 'computed'], { id: eventId })
  if (!event) return { told: [], ended: [] }
  const tells = tellsOf(event)
  const saysAll = event.computed.includes('"tells":')
  const [told, ended] = await Promise.all([
    tells?.steps ? [...tells.steps] : tables.steps.pick([], { eventId }).then(rows => rows.map(row => row.id)),
    // What was ended may have been opened again since, and ended by another.
    tables.steps.pick([], { endEventId: eventId }).then(rows => rows.map(row => row.id)),
  ])
  return { told, ended: saysAll ? ended.filter(id => tells?.ends?.includes(id) ?? false) : ended }
}

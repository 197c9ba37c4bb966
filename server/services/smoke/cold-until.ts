import { groupBy } from '#core/lists/group-by'
import { leftCold } from '#core/smoke/come-up'
import { type Millimetres, type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { between } from '../../db/where'

interface Left {
  fridgeId: number
  thicknessMm: Millimetres
}
interface Begun {
  startedAtMs: Milliseconds
}
/** When a lot's pieces left its fridge for a run, if the fridge's readings show that they left it cold; null if not. */
export type ColdUntil = (lot: Left, run: Begun) => Milliseconds | null

/** Reads the fridges of some lots before each of their runs, in one statement. */
export async function coldUntil(
  tables: Tables,
  asked: readonly { lot: Left; runs: readonly Begun[] }[],
): Promise<ColdUntil> {
  const key = (fridgeId: number, startedAtMs: Milliseconds) => `${fridgeId} ${startedAtMs}`
  const moments = new Map(
    asked.flatMap(({ lot: { fridgeId }, runs }) =>
      runs.map(({ startedAtMs }) => [key(fridgeId, startedAtMs), { fridgeId, startedAtMs }] as const),
    ),
  )
  const readings = await tables.fridgeReadings.pickEach(['fridgeId', 'atMs', 'tempC'], {
    wheres: [...moments.values()].map(({ fridgeId, startedAtMs }) => ({
      fridgeId,
      atMs: between(startedAtMs - MS_PER_DAY, startedAtMs),
    })),
  })
  const ofFridge = groupBy(readings, reading => reading.fridgeId)
  const before = new Map(
    [...moments].map(([moment, { fridgeId, startedAtMs }]) => {
      const hours = (ofFridge.get(fridgeId) ?? []).filter(
        ({ atMs }) => atMs >= startedAtMs - MS_PER_DAY && atMs <= startedAtMs,
      )
      const once = [...new Map(hours.map(reading => [reading.id, reading])).values()]
      return [moment, once.toSorted((a, b) => a.atMs - b.atMs)]
    }),
  )
  return ({ fridgeId, thicknessMm }, { startedAtMs }) =>
    leftCold(before.get(key(fridgeId, startedAtMs)) ?? [], startedAtMs, thicknessMm) ? startedAtMs : null
}

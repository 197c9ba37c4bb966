import { atKey } from '#core/lists/at-key'
import { foldStanding } from '#core/life/fold-standing'
import { groupBy } from '#core/lists/group-by'
import { warmthLines } from '#core/places/lines'
import { leftCold } from '#core/smoke/come-up'
import { type Millimetres, type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { Tables } from '../../db/database'
import { between, present } from '../../db/schema/where'
import { standingSteps } from '../steps/standing-steps'

interface Left {
  id: number
  thicknessMm: Millimetres
}
interface Begun {
  id: number
  startedAtMs: Milliseconds
}
/** When a lot's pieces left their places for a run, if the readings there show that they left cold; null if not. */
export type ColdUntil = (lot: Left, run: Begun) => Milliseconds | null

/** Reads the places of some lots before each of their runs: steps and readings in one statement each. */
export async function coldUntil(
  tables: Tables,
  asked: readonly { lot: Left; inRuns: readonly { pieceId: number; runId: number }[]; runs: readonly Begun[] }[],
): Promise<ColdUntil> {
  if (asked.length === 0) return () => null
  const steps = await standingSteps(tables, asked.map(({ lot }) => lot.id))
  const lives = new Map(
    asked.map(({ lot }) => [
      lot.id,
      new Map(foldStanding(steps.get(lot.id) ?? []).life.pieces.map(life => [life.pieceId, life])),
    ]),
  )
  /** Where the pieces of a run lay in the day before it: one list of stays for those that lay alike. */
  const staysBefore = (lotId: number, run: Begun, pieces: readonly number[]) => {
    const lines = pieces.map(id =>
      (atKey(lives, lotId).get(id)?.stays ?? [])
        .filter(stay => stay.fromMs < run.startedAtMs && (stay.toMs ?? run.startedAtMs) > run.startedAtMs - MS_PER_DAY)
        .map(stay => ({ ...stay, toMs: Math.min(stay.toMs ?? run.startedAtMs, run.startedAtMs) })),
    )
    return [...new Map(lines.map(stays => [JSON.stringify(stays), stays])).values()]
  }
  const moments = asked.flatMap(({ lot, inRuns, runs }) =>
    runs.map((run) => {
      const pieces = inRuns.filter(row => row.runId === run.id).map(row => row.pieceId)
      return { lot, run, stays: staysBefore(lot.id, run, pieces) }
    }),
  )
  const wheres = moments.flatMap(({ run, stays }) =>
    [...new Set(stays.flat().flatMap(stay => stay.placeId ?? []))].map(placeId => ({
      placeId,
      tempC: present,
      atMs: between(run.startedAtMs - 2 * MS_PER_DAY, run.startedAtMs),
    })),
  )
  const rows = await tables.placeReadings.pickEach(['placeId', 'atMs', 'tempC'], { wheres })
  const once = [...new Map(rows.map(({ id, placeId, atMs, tempC }) => [id, { placeId, atMs, tempC: tempC! }])).values()]
  const ofPlace = groupBy(
    once.toSorted((a, b) => a.atMs - b.atMs),
    reading => reading.placeId,
  )
  const key = (lotId: number, runId: number) => `${lotId} ${runId}`
  const cold = new Map(
    moments.map(({ lot, run, stays }) => {
      const left = stays.every((mine) => {
        const lines = warmthLines(mine, placeId => ofPlace.get(placeId) ?? [])
        const first = lines[0]
        // The last reading holds until they left.
        const points = lines.map(({ toMs, toC }) => ({ atMs: toMs, tempC: toC }))
        const readings = first ? [{ atMs: first.fromMs, tempC: first.fromC }, ...points] : []
        return leftCold(readings, run.startedAtMs, lot.thicknessMm)
      })
      return [key(lot.id, run.id), stays.length > 0 && left]
    }),
  )
  return (lot, run) => (cold.get(key(lot.id, run.id)) ? run.startedAtMs : null)
}

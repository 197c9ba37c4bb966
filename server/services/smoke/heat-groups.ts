import { MS_PER_DAY } from '#core/units/quantities'
import { leftCold } from '#core/smoke/come-up'
import { judgeHeats, type Heat, type HeatsJudged } from '#core/smoke/heats'
import { coolingRuleFor, type CoolingRule } from '#core/cooling/cooling'
import { THERMOMETER_RIGHT_C } from '#core/instruments/check-instrument'
import type { RowOf } from '../../db/table-spec'
import type { Tables } from '../../db/store'
import type { lots } from '../../db/tables/lots'
import type { runReadings, runs } from '../../db/tables/temperatures'
import { between } from '../../db/where'
import { coreReadings } from './core-readings'

type LotRow = RowOf<typeof lots>
type RunRow = RowOf<typeof runs>
type ReadingRow = RowOf<typeof runReadings>

/** A run and its readings as the core takes them. */
export const heatOf = (run: RunRow, readings: readonly ReadingRow[], coldUntilMs: number | null = null): Heat => ({
  code: run.code, startedAtMs: run.startedAtMs, pulledAtMs: run.pulledAtMs, targetC: run.targetCoreC, coldUntilMs, ...coreReadings(readings),
  chamber: readings.flatMap(row => row.phase === 'smoke' && row.chamberC !== null ? [{ atMs: row.atMs, tempC: row.chamberC }] : []),
})

export const ruleOf = (lot: Pick<LotRow, 'judgement'>): CoolingRule => coolingRuleFor(lot.judgement.lot?.lowPpm ?? null)

/** Pieces that were smoked in the same runs stand together: each list of runs once, in order of time. */
export function groupsOf(runPieces: readonly { pieceId: number, runId: number }[], runsInOrder: readonly RunRow[]): RunRow[][] {
  const runIds = new Map<number, Set<number>>()
  for (const { pieceId, runId } of runPieces) runIds.set(pieceId, (runIds.get(pieceId) ?? new Set()).add(runId))
  const groups = new Map<string, RunRow[]>()
  for (const ids of runIds.values()) {
    const mine = runsInOrder.filter(run => ids.has(run.id))
    groups.set(mine.map(run => run.id).join(' '), mine)
  }
  return [...groups.values()]
}

/** When a lot's pieces left its fridge for a run, if the fridge's readings show that they left it cold. */
async function coldUntil(tables: Tables, lot: LotRow, run: RunRow): Promise<number | null> {
  const readings = await tables.fridgeReadings.find({ fridgeId: lot.fridgeId, atMs: { [between]: [new Date(run.startedAtMs - MS_PER_DAY), new Date(run.startedAtMs)] } }, { order: [['atMs', 'ASC']] })
  return leftCold(readings, run.startedAtMs, lot.thicknessMm) ? run.startedAtMs : null
}

/** Every group of a lot's pieces with what its heats say about growth. */
export async function judgeLotHeats(tables: Tables, lot: LotRow, nowMs: number): Promise<HeatsJudged[]> {
  const pieces = await tables.pieces.find({ lotId: lot.id })
  const runPieces = await tables.runPieces.find({ pieceId: pieces.map(piece => piece.id) })
  const runIds = [...new Set(runPieces.map(row => row.runId))]
  const [inOrder, readings] = await Promise.all([
    tables.runs.find({ id: runIds }, { order: [['startedAtMs', 'ASC']] }), tables.runReadings.find({ runId: runIds }, { order: [['atMs', 'ASC']] }),
  ])
  const heats = new Map<number, Heat>()
  for (const run of inOrder) heats.set(run.id, heatOf(run, readings.filter(row => row.runId === run.id), await coldUntil(tables, lot, run)))
  return groupsOf(runPieces, inOrder).map(group => judgeHeats({ heats: group.map(run => heats.get(run.id)!), rule: ruleOf(lot), saltOnly: lot.saltOnly, errorC: THERMOMETER_RIGHT_C, nowMs }))
}

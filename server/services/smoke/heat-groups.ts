import { THERMOMETER_RIGHT_C } from '#core/rules/house'
import type { CoolingRule } from '#core/rules/guideline'
import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { coolingRuleFor } from '#core/cooling/cooling'
import { leftCold } from '#core/smoke/come-up'
import type { CoreReading } from '#core/smoke/core-reading'
import { isCold, judgeHeats, type Heat, type HeatsJudged, type LotHeats } from '#core/smoke/heats'
import { type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { HeatRow } from '../../db/heat-reader'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/table-spec'
import type { lots } from '../../db/tables/lots'
import type { runs } from '../../db/tables/temperatures'
import { between } from '../../db/where'
import { sha256 } from '../../digest/sha256'
import { duplicateOf } from '../../db/duplicate'

type LotRow = RowOf<typeof lots>
type RunRow = RowOf<typeof runs>
/** Which pieces of a lot were in which runs, the runs in order of time. */
export interface LotRuns {
  inRuns: readonly { pieceId: number; runId: number }[]
  runs: readonly RunRow[]
}

const coresOf = (rows: readonly HeatRow[], phase: 'smoke' | 'cool'): CoreReading[] =>
  rows.flatMap(row => (row.phase === phase && row.coreC !== null ? [{ atMs: row.atMs, coreC: row.coreC }] : []))

/** A run and its readings as the core takes them. */
export const heatOf = (run: RunRow, readings: readonly HeatRow[], coldUntilMs: Milliseconds | null = null): Heat => ({
  code: run.code,
  startedAtMs: run.startedAtMs,
  pulledAtMs: run.pulledAtMs,
  targetC: run.targetCoreC,
  coldUntilMs,
  smoke: coresOf(readings, 'smoke'),
  cool: coresOf(readings, 'cool'),
  chamber: readings.flatMap(row =>
    row.phase === 'smoke' && row.chamberC !== null ? [{ atMs: row.atMs, tempC: row.chamberC }] : [],
  ),
})

const ruleOf = (lot: Pick<LotRow, 'judgement'>): CoolingRule => coolingRuleFor(lot.judgement.lot?.lowPpm ?? null)

/** Pieces that were smoked in the same runs stand together: each list of runs once, in order of time. */
export function groupsOf({ inRuns, runs: inOrder }: LotRuns): RunRow[][] {
  const runIds = new Map<number, Set<number>>()
  for (const { pieceId, runId } of inRuns) runIds.set(pieceId, (runIds.get(pieceId) ?? new Set()).add(runId))
  const groups = new Map<string, RunRow[]>()
  for (const ids of runIds.values()) {
    const mine = inOrder.filter(run => ids.has(run.id))
    groups.set(mine.map(run => run.id).join(' '), mine)
  }
  return [...groups.values()]
}

/** When a lot's pieces left its fridge for a run, if the fridge's readings show that they left it cold. */
async function coldUntil(tables: Tables, lot: LotRow, run: RunRow): Promise<number | null> {
  const readings = await tables.fridgeReadings.pick(
    ['atMs', 'tempC'],
    {
      fridgeId: lot.fridgeId,
      atMs: between(run.startedAtMs - MS_PER_DAY, run.startedAtMs),
    },
    { order: [['atMs', 'ASC']] },
  )
  return leftCold(readings, run.startedAtMs, lot.thicknessMm) ? run.startedAtMs : null
}

/** Long after anything that is still open would have been missed. */
const FAR_MS = 1000 * 365 * MS_PER_DAY

/** What the heats of a lot's pieces say about growth; kept once neither a reading nor the hour can change it. */
export async function lotHeats(tables: Tables, lot: LotRow, of: LotRuns, nowMs: Milliseconds): Promise<LotHeats> {
  if (of.runs.length === 0) return { groups: [], coldRuns: [] }
  const cold = new Map(
    await Promise.all(of.runs.map(async run => [run.id, await coldUntil(tables, lot, run)] as const)),
  )
  const groups = groupsOf(of)
  const rule = ruleOf(lot)
  const inputs = sha256(
    JSON.stringify([
      ARITHMETIC_VERSION,
      rule.id,
      lot.saltOnly,
      lot.thicknessMm,
      groups.map(group => group.map(run => run.id)),
      of.runs.map(run => [
        run.id,
        run.code,
        run.readingsVersion,
        run.startedAtMs,
        run.pulledAtMs,
        run.targetCoreC,
        cold.get(run.id),
      ]),
    ]),
  )
  // What a write decides by is worked out from the sealed rows: what is kept here no record seals.
  const fresh = tables.book.isWrite
  const [kept] = fresh ? [] : await tables.heatJudgements.find({ lotId: lot.id }, { limit: 1 })
  if (kept?.inputs === inputs) return kept.judged
  const rows = await tables.heatRows(of.runs)
  const heats = new Map(of.runs.map(run => [run.id, heatOf(run, rows.get(run.id) ?? [], cold.get(run.id))]))
  const judgedAt = (atMs: Milliseconds): LotHeats => ({
    groups: groups.map(group =>
      judgeHeats({
        heats: group.map(run => heats.get(run.id)!),
        rule,
        saltOnly: lot.saltOnly,
        errorC: THERMOMETER_RIGHT_C,
        nowMs: atMs,
      }),
    ),
    coldRuns: of.runs.filter(run => isCold(heats.get(run.id)!)).map(run => run.code),
  })
  const judged = judgedAt(nowMs)
  const isOpen
    = of.runs.some(run => run.pulledAtMs === null) || judged.groups.some(group => group.coolingOpen.length > 0)
  if (!fresh && !isOpen && JSON.stringify(judged) === JSON.stringify(judgedAt(nowMs + FAR_MS)))
    await keep(tables, kept?.id ?? null, { lotId: lot.id, inputs, judged })
  return judged
}

async function keep(
  tables: Tables,
  id: number | null,
  row: { lotId: number; inputs: string; judged: LotHeats },
): Promise<void> {
  try {
    if (id === null) await tables.heatJudgements.insert(row)
    else await tables.heatJudgements.update(id, { inputs: row.inputs, judged: row.judged })
  }
  catch (error) {
    // Another look at the same lot was quicker.
    if (duplicateOf(error) === null) throw error
  }
}

/** Every group of a lot's pieces with what its heats say about growth. */
export async function judgeLotHeats(tables: Tables, lot: LotRow, nowMs: Milliseconds): Promise<HeatsJudged[]> {
  const pieces = await tables.pieces.pick([], { lotId: lot.id })
  const inRuns = await tables.runPieces.pick(['pieceId', 'runId'], { pieceId: pieces.map(piece => piece.id) })
  const inOrder = inRuns.length
    ? await tables.runs.find({ id: [...new Set(inRuns.map(row => row.runId))] }, { order: [['startedAtMs', 'ASC']] })
    : []
  return (await lotHeats(tables, lot, { inRuns, runs: inOrder }, nowMs)).groups
}

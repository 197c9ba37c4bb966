import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { coolingRuleFor } from '#core/cooling/cooling'
import { sumOf } from '#core/lists/sum-of'
import type { PackedReadings } from '#core/readings/packed-readings'
import type { CoolingRule } from '#core/rules/guideline'
import { leftCold } from '#core/smoke/come-up'
import type { HeatsJudged, LotHeats } from '#core/smoke/heats'
import { type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { PackedHeat } from '../../aside/judge-groups'
import { aside } from '../../aside/pool'
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

/** A run and its readings, to be judged. */
export const packedHeat = (
  run: RunRow,
  readings: PackedReadings,
  coldUntilMs: Milliseconds | null = null,
): PackedHeat => ({
  code: run.code,
  startedAtMs: run.startedAtMs,
  pulledAtMs: run.pulledAtMs,
  targetC: run.targetCoreC,
  coldUntilMs,
  readings,
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
  const readings = await tables.heatRows(of.runs)
  const heats = of.runs.map(run => packedHeat(run, readings.get(run.id)!, cold.get(run.id)))
  const question = {
    heats,
    groups: groups.map(group => group.map(run => of.runs.indexOf(run))),
    rule,
    saltOnly: lot.saltOnly,
    nowMs,
  }
  const { judged, isFinal } = await aside('judgeGroups', question, sumOf(heats, heat => heat.readings.count))
  if (!fresh && isFinal) await keep(tables, kept?.id ?? null, { lotId: lot.id, inputs, judged })
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

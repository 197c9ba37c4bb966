import { atKey } from '#core/lists/at-key'
import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { coolingRuleFor } from '#core/cooling/cooling'
import { leastOf } from '#core/retained/lot-stayed'
import { pieceTree, type PieceTree } from '#core/life/parts'
import { sumOf } from '#core/lists/sum-of'
import type { PackedReadings } from '#core/readings/packed-readings'
import type { CoolingRule } from '#core/rules/guideline'
import type { HeatsJudged, LotHeats } from '#core/smoke/heats'
import type { Milliseconds } from '#core/units/quantities'
import type { PackedHeat } from '../../aside/judge-groups'
import { aside } from '../../aside/pool'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots } from '../../db/tables/lots'
import type { runs } from '../../db/tables/temperatures'
import { sha256 } from '../../digest/sha256'
import { duplicateOf } from '../../db/line/duplicate'
import { coldUntil, type ColdUntil } from './cold-until'

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

const ruleOf = (lot: Pick<LotRow, 'judgement'>, pieceIds: readonly number[]): CoolingRule =>
  coolingRuleFor(leastOf(lot.judgement, pieceIds))

/** Pieces that were smoked in the same runs stand together. */
interface PieceGroup {
  /** Runs in order of time. */
  runs: RunRow[]
  pieceIds: number[]
}

/**
 * Which pieces were in which runs, with what was cut from them since: a part was in the heats of what it was cut from.
 */
export const withParts = <R extends { pieceId: number }>(inRuns: readonly R[], tree: PieceTree): R[] =>
  inRuns.flatMap(row => tree.asLeaves([row.pieceId]).map(pieceId => ({ ...row, pieceId })))

/** The runs of pieces, and which was in which. `pieces`: all of their lots, with what was cut from them. */
export async function runsOfPieces(
  tables: Tables,
  pieces: readonly { id: number; parentId: number | null }[],
): Promise<LotRuns> {
  const told = await tables.runPieces.pick(['pieceId', 'runId'], { pieceId: pieces.map(piece => piece.id) })
  const inRuns = withParts(told, pieceTree(pieces))
  const id = [...new Set(inRuns.map(row => row.runId))]
  return { inRuns, runs: await tables.runs.find({ id }, { order: [['startedAtMs', 'ASC']] }) }
}

export function heatGroupsOf({ inRuns, runs: inOrder }: LotRuns): PieceGroup[] {
  const runIds = new Map<number, Set<number>>()
  for (const { pieceId, runId } of inRuns) runIds.set(pieceId, (runIds.get(pieceId) ?? new Set()).add(runId))
  const groups = new Map<string, PieceGroup>()
  for (const [pieceId, ids] of runIds) {
    const mine = inOrder.filter(run => ids.has(run.id))
    const key = mine.map(run => run.id).join(' ')
    const group = groups.get(key) ?? { runs: mine, pieceIds: [] }
    group.pieceIds.push(pieceId)
    groups.set(key, group)
  }
  return [...groups.values()]
}

/** A lot and the runs its pieces were in. */
export interface LotInRuns extends LotRuns {
  lot: { id: number } & Pick<LotRow, 'judgement' | 'saltOnly' | 'thicknessMm'>
}

/** What a lot's heats are judged by, beside their readings, as one digest: it changes when the verdict may. */
const inputsOf = ({ lot, runs: inOrder }: LotInRuns, groups: readonly PieceGroup[], cold: ColdUntil): string =>
  sha256(
    JSON.stringify([
      ARITHMETIC_VERSION,
      groups.map(group => ruleOf(lot, group.pieceIds).id),
      lot.saltOnly,
      lot.thicknessMm,
      groups.map(group => group.runs.map(run => run.id)),
      inOrder.map(run => [
        run.id,
        run.code,
        run.readingsVersion,
        run.startedAtMs,
        run.pulledAtMs,
        run.targetCoreC,
        cold(lot, run),
      ]),
    ]),
  )

/**
 * What the heats of each lot's pieces say about growth, by the lot's id; kept once neither a reading nor the hour can
 * change it. Two statements for all lots whose verdicts are kept.
 */
export async function lotHeats(
  tables: Tables,
  asked: readonly LotInRuns[],
  nowMs: Milliseconds,
): Promise<Map<number, LotHeats>> {
  const heated = asked.filter(one => one.runs.length > 0)
  // What a write decides by is worked out from the sealed rows: what is kept here no record seals.
  const fresh = tables.book.isWrite
  const [cold, kept] = await Promise.all([
    coldUntil(tables, heated),
    fresh || heated.length === 0 ? [] : tables.heatJudgements.find({ lotId: heated.map(({ lot }) => lot.id) }),
  ])
  const keptOf = new Map(kept.map(row => [row.lotId, row]))
  const judged = await Promise.all(
    heated.map(async (one): Promise<[number, LotHeats]> => {
      const groups = heatGroupsOf(one)
      const inputs = inputsOf(one, groups, cold)
      const before = keptOf.get(one.lot.id)
      if (before?.inputs === inputs) return [one.lot.id, before.judged]
      const found = await judgeGroups(tables, one, groups, cold, nowMs)
      if (!fresh && found.isFinal)
        await keep(tables, before?.id ?? null, { lotId: one.lot.id, inputs, judged: found.judged })
      return [one.lot.id, found.judged]
    }),
  )
  return new Map([...asked.map(({ lot }): [number, LotHeats] => [lot.id, { groups: [], coldRuns: [] }]), ...judged])
}

async function judgeGroups(
  tables: Tables,
  { lot, runs: inOrder }: LotInRuns,
  groups: readonly PieceGroup[],
  cold: ColdUntil,
  nowMs: Milliseconds,
) {
  const readings = await tables.heatRows(inOrder)
  const heats = inOrder.map(run => packedHeat(run, atKey(readings, run.id), cold(lot, run)))
  const question = {
    heats,
    groups: groups.map(group => ({
      heats: group.runs.map(run => inOrder.indexOf(run)),
      rule: ruleOf(lot, group.pieceIds),
    })),
    saltOnly: lot.saltOnly,
    nowMs,
  }
  return aside('judgeGroups', question, sumOf(heats, heat => heat.readings.count))
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

/** Every group of a lot's pieces, and what its heats say about growth. */
export async function judgeLotHeats(
  tables: Tables,
  lot: LotInRuns['lot'],
  nowMs: Milliseconds,
): Promise<{ pieceIds: number[]; runs: RunRow[]; judged: HeatsJudged }[]> {
  const pieces = await tables.pieces.pick(['parentId'], { lotId: lot.id })
  const inHeats = await runsOfPieces(tables, pieces)
  const { groups } = atKey((await lotHeats(tables, [{ lot, ...inHeats }], nowMs)), lot.id)
  return heatGroupsOf(inHeats).map(({ pieceIds, runs }, i) => ({ pieceIds, runs, judged: groups[i]! }))
}

import { byHappening, type Step } from '#core/life/step'
import type { FiguresOfStep, StepKind } from '#core/life/kinds/all-kinds'
import type { Contradiction, LotLife } from '#core/life/fold'
import { foldStanding, newContradiction, type Standings } from '#core/life/fold-standing'
import { piecesFor } from '#core/life/pieces-for'
import type { Milliseconds } from '#core/units/quantities'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { keepState, type Kept } from './keep-state'
import { stepOf } from '../../db/integrity/step-of'
import { standingSteps, type Standing } from './standing-steps'

/** A step as it is to be laid down; its number and its record come with the writing. */
export type NewStep = {
  [K in StepKind]: {
    kind: K
    /** Ids of pieces of the lot, or all of it for which the kind makes sense at that instant. */
    pieces: readonly number[] | 'all'
    figures: FiguresOfStep[K]
    placeId?: number | null
    /** When it happened; now, unless said. */
    fromMs?: Milliseconds
    /** Null: it goes on. Left out: it was an instant. */
    toMs?: Milliseconds | null
    runId?: number | null
    lateReason?: string | null
  }
}[StepKind]

/** The place of a new step: behind every step that has a number. */
const NOT_YET_NUMBERED = Number.MAX_SAFE_INTEGER

/** Steps that were laid down, all that now stand, in order of happening, and what they come to. */
export interface Laid {
  ids: number[]
  steps: Standing[]
  life: LotLife
  /** How many of them contradict others. */
  contradictions: number
}

/**
 * What a lot's steps come to with new ones among them, or why they cannot stand together. What contradicted itself
 * before, this press did not make, and it keeps nobody from telling what was done.
 */
function lifeWith(lot: Told, standing: readonly Step[], wanted: readonly Step[]): Answer<Standings> {
  const made = newContradiction(standing, wanted)
  return made ? contradicted(lot, made) : { ok: true, value: foldStanding(wanted) }
}

/** A lot as a refusal names it, and where its clock hangs. */
interface Told {
  code: string
  zone: string
}

export function contradicted({ code, zone }: Told, { code: why, first, second, mend, pieces }: Contradiction): Refusal {
  return refuse('step_contradicts', {
    code,
    zone,
    why,
    mend,
    first: first?.kind ?? 'none',
    firstMs: first?.fromMs ?? 0,
    second: second.kind,
    secondMs: second.fromMs,
    unfit: pieces.join(' '),
  })
}

/**
 * Lays steps of one lot down, all or none: they are folded with those that stand, written, and the state of its pieces
 * follows. The lot must be locked. `known`: the steps that stand, where they were read under that lock. Answers with
 * their ids, for the record that tells of them, and with what the lot's life is now.
 */
export async function laySteps(
  ctx: WriteContext,
  lot: Told & { id: number } & Partial<Kept>,
  news: readonly NewStep[],
  known?: readonly Standing[],
): Promise<Answer<Laid>> {
  const standing = known ?? (await standingSteps(ctx.tables, [lot.id])).get(lot.id) ?? []
  // A step goes behind what was done before, also by a clock that was set back.
  const nowMs = Math.max(ctx.nowMs, ...standing.map(step => step.toMs ?? step.fromMs))
  const rows = news.map((step) => {
    const fromMs = step.fromMs ?? nowMs
    return {
      lotId: lot.id,
      kind: step.kind,
      pieces: step.pieces === 'all' ? piecesFor(foldStanding(standing).life, step.kind, fromMs) : [...step.pieces],
      placeId: step.placeId ?? null,
      fromAtMs: fromMs,
      toAtMs: step.toMs === undefined ? fromMs : step.toMs,
      runId: step.runId ?? null,
      figures: step.figures,
      byId: ctx.actor.id,
      lateReason: step.lateReason ?? null,
    }
  })
  const wanted = rows.map((row, i) => stepOf({ ...row, id: NOT_YET_NUMBERED - news.length + i }))
  const folded = lifeWith(lot, standing, [...standing, ...wanted])
  if (!folded.ok) return folded
  const ids = await ctx.tables.steps.insertMany(rows)
  const steps = [...standing, ...rows.map((row, i) => stepOf({ ...row, id: ids[i]! }))].toSorted(byHappening)
  await keepState(ctx.tables, lot.id, folded.value, lot)
  return { ok: true, value: { ids, steps, life: folded.value.life, contradictions: folded.value.leftOut.length } }
}

/** The heats that go on in a run end, and the pieces lie where they lay before. Answers with their ids. */
export async function endHeats(ctx: WriteContext, runId: number): Promise<number[]> {
  const going = await ctx.tables.steps.find({ runId, toAtMs: null })
  const lotIds = [...new Set(going.map(step => step.lotId))].toSorted((a, b) => a - b)
  if (lotIds.length === 0) return []
  await ctx.tables.lots.pick([], { id: lotIds }, { order: [['id', 'ASC']], lock: true })
  for (const step of going)
    await ctx.tables.steps.update(step.id, { toAtMs: Math.max(ctx.nowMs, step.fromAtMs) })
  for (const lotId of lotIds) await keepState(ctx.tables, lotId)
  return going.map(step => step.id)
}

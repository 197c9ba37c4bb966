import { cureDay } from '../curing/cure-day'
import { KINDS } from '../life/kinds/all-kinds'
import { sumOf } from '../lists/sum-of'
import { MS_PER_HOUR, type Milliseconds } from '../units/quantities'
import { PLAN_ASKS } from '../life/kinds/plan-ask'
import { isOf, type DueLot } from './due-lot'
import { groupsOf } from './due'
import { endDays } from './end-days'
import type { Plan } from './plan'
import { nextTold, progressOf, type DoneStep } from './progress'

/** What a plan is asked before: the end of the cure, a heat, the slicing table, the door. */
export const PLAN_DEEDS = ['out', 'heat', 'slice', 'send'] as const
export type PlanDeed = (typeof PLAN_DEEDS)[number]

/** Something that goes against the plan of pieces, with what it rests on. */
export type PlanAsk = { pieces: number[] } & (
  | { ask: 'cure_early'; day: number; fromDay: number }
  | { ask: 'not_heated' }
  | { ask: 'rest_short'; restedMs: Milliseconds; leastMs: Milliseconds }
)

export interface PlanQuestion {
  lot: Pick<DueLot, 'rubbedOn' | 'zone' | 'plan' | 'piecePlans' | 'pieces' | 'did'>
  /** True where nobody laid the lot's plan, and so nobody said whether it is heated or rests. */
  assumed: boolean
  deed: PlanDeed
  /** Ids of the pieces that it is done to. */
  pieces: readonly number[]
  atMs: Milliseconds
}

/**
 * What a deed would do against the plan of its pieces: asked with its figures, and taken where somebody says why. What
 * was answered at an earlier step of a piece (`against`) is not asked of it again. One place for every room. House
 * rule.
 */
export function planAsks({ lot, assumed, deed, pieces, atMs }: PlanQuestion): PlanAsk[] {
  const asks = groupsOf(lot).flatMap(({ plan, ids }) =>
    pieces
      .filter(id => ids.includes(id))
      .flatMap((id) => {
        const did = lot.did.filter(step => isOf(step, id) && step.fromMs <= atMs)
        const answered = new Set(did.flatMap(step => step.against ?? []))
        const outAtMs = deed === 'out' ? atMs : lot.pieces.find(piece => piece.id === id)!.outAtMs
        return [
          ...earlyOf(lot, plan, outAtMs),
          ...((assumed && plan === lot.plan) || outAtMs === null || deed === 'out' ? [] : skippedOf(plan, deed, { outAtMs, did, atMs })),
        ]
          .filter(({ ask }) => !answered.has(ask))
          .map(ask => ({ ...ask, id }))
      }),
  )
  return PLAN_ASKS.flatMap((kind): PlanAsk[] => {
    const same = asks.filter(one => one.ask === kind)
    if (same.length === 0) return []
    const { id: _id, ...first } = same[0]!
    return [{ ...first, pieces: same.map(one => one.id) } as PlanAsk]
  })
}

type Asked = PlanAsk extends infer One ? (One extends unknown ? Omit<One, 'pieces'> : never) : never

function earlyOf(lot: PlanQuestion['lot'], { end }: Plan, outAtMs: Milliseconds | null): Asked[] {
  if (outAtMs === null) return []
  const day = cureDay(lot.rubbedOn, outAtMs, lot.zone)
  const { fromDay } = endDays(lot, end)
  return day < fromDay ? [{ ask: 'cure_early', day, fromDay }] : []
}

interface Way {
  outAtMs: Milliseconds
  did: readonly DoneStep[]
  atMs: Milliseconds
}

/** Heats that were not, and rests that were too short, before what the deed carries out. */
function skippedOf({ then }: Plan, deed: PlanDeed, way: Way): Asked[] {
  const p = progressOf(then, way.outAtMs, way.did)
  const goal = then.findIndex((item, i) => (deed === 'heat' ? i >= p.at && item.kind === 'heat' : item.kind === 'slice'))
  const upTo = goal < 0 ? (deed === 'heat' ? nextTold(then, p.at) : then.length) : goal
  const before = then.slice(0, upTo)
  const heats = way.did.filter(step => step.kind === 'heat')
  const planned = before.flatMap(item => (item.kind === 'heat' ? [item.how] : []))
  const hot = planned.some(how => how !== 'cold')
  const missing = hot ? !heats.some(step => step.hot) : planned.length > 0 && heats.length === 0
  return [
    ...(deed !== 'heat' && missing ? [{ ask: 'not_heated' as const }] : []),
    // Rests before an earlier heat were asked for at that.
    ...restOf(heats.length === 0 ? before : before.slice(before.findLastIndex(item => item.kind === 'heat') + 1), way),
  ]
}

/**
 * Rests of a stretch of the plan that did not last as long as it wants at least. What was told as a rest counts; where
 * nobody told any, what lay since the heat or the last thing done to it does: meat that lies rests.
 */
function restOf(then: Plan['then'], { outAtMs, did, atMs }: Way): Asked[] {
  const leastMs = sumOf(then, item => (item.kind === 'rest' ? item.hours.from * MS_PER_HOUR : 0))
  const heatedMs = did.findLast(step => step.kind === 'heat')?.toMs ?? outAtMs
  const since = did.filter(step => step.fromMs >= heatedMs)
  const untilMs = since.find(step => step.kind === 'slice')?.fromMs ?? atMs
  const endOf = (step: DoneStep): Milliseconds =>
    step.toMs ?? since.find(other => other.fromMs > step.fromMs && KINDS[other.kind].becomes)?.fromMs ?? untilMs
  const told = since.filter(step => step.kind === 'rest')
  const last = since.findLast(step => step.fromMs < untilMs && KINDS[step.kind].becomes)
  const lyingMs = untilMs - (last ? endOf(last) : heatedMs)
  const restedMs = told.length > 0 ? sumOf(told, step => endOf(step) - step.fromMs) : lyingMs
  return restedMs < leastMs ? [{ ask: 'rest_short', restedMs, leastMs }] : []
}

import { forecastLoss, type Forecast } from '#core/drying/forecast'
import { pieceLosses, type PieceLoss } from '#core/drying/loss'
import { weighedOf } from '#core/plan/hang-due'
import type { PlanItemOf } from '#core/plan/plan'
import { MOST_WATER } from '#core/rules/house'
import { MS_PER_DAY, type Fraction, type Milliseconds } from '#core/units/quantities'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import { planOf } from './plan-of'

/** A hanging piece by its weights: what it lost, what it is meant to, and when it will have. */
export interface HangFacts {
  piece: LotPiece
  sinceMs: Milliseconds
  losses: PieceLoss[]
  /** Null: not weighed since it hangs. */
  lost: Fraction | null
  from: Fraction
  to: Fraction
  forecast: Forecast | null
}
type HungLot = Pick<LotSummary, 'pieces' | 'plan' | 'piecePlans' | 'did' | 'cut'>

/** Hung without its plan saying so. House. */
const USUAL = { lossFrom: 0.3, lossTo: 0.35 }
const planned = (lot: HungLot, piece: LotPiece): Pick<PlanItemOf<'hang'>, 'lossFrom' | 'lossTo'> =>
  planOf(lot, [piece.id]).then.find(item => item.kind === 'hang') ?? USUAL

/** Answers by the steps that say them: the same steps give the same one, and nothing is worked out again. */
const known = new WeakMap<LotSummary['did'], Map<number, HangFacts>>()

/** Pieces of a lot that hang, each by its weights. */
export const hangFacts = (lot: HungLot, pieces: readonly LotPiece[]): HangFacts[] =>
  pieces.filter(piece => piece.stage === 'hang' && piece.sinceMs !== null).map(piece => factsOf(lot, piece))

function factsOf(lot: HungLot, piece: LotPiece): HangFacts {
  const ofLot = known.get(lot.did) ?? new Map<number, HangFacts>()
  known.set(lot.did, ofLot)
  const before = ofLot.get(piece.id)
  if (before?.sinceMs === piece.sinceMs) return before
  const sinceMs = hungSince(lot, piece)
  const losses = pieceLosses(piece.id, lot.pieces, weighedOf(lot.did).filter(one => one.atMs >= sinceMs))
  const { lossFrom: from, lossTo: to } = planned(lot, piece)
  const facts: HangFacts = {
    piece,
    sinceMs: piece.sinceMs!,
    losses,
    lost: losses.at(-1)?.lost ?? null,
    from,
    to,
    forecast: forecastLoss({ hungAtMs: sinceMs, points: losses, target: from, waterShare: MOST_WATER[lot.cut] }),
  }
  ofLot.set(piece.id, facts)
  return facts
}

/** The first of its hangings: on another hook it goes on. */
const hungSince = ({ did }: HungLot, piece: LotPiece): Milliseconds =>
  did.find(step => step.kind === 'hang' && (step.pieces === null || step.pieces.includes(piece.id)))?.fromMs ?? piece.sinceMs!

/** When the air where lots hang is to be set to what, by their plans, in order of time. */
export function humidityPlan(lots: readonly HungLot[]): { atMs: Milliseconds; percent: number }[] {
  const all = [...new Set(lots)].flatMap((lot) => {
    const hung = lot.pieces.find(piece => piece.stage === 'hang')
    const item = hung && planOf(lot, [hung.id]).then.find(one => one.kind === 'hang')
    return item ? item.rhByDay.map(({ fromDay, percent }) => ({ atMs: hungSince(lot, hung) + fromDay * MS_PER_DAY, percent })) : []
  })
  return [...new Map(all.map(one => [JSON.stringify(one), one])).values()].toSorted((a, b) => a.atMs - b.atMs)
}

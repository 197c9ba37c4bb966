import { isWet, type CureMethod } from '../cure/cure-method'
import { leastInBrine } from './least-in-brine'
import { isMostlyOnFat, type SideShares } from './share-by-side'
import { shareByWeight } from '../cure/share-by-weight'
import type { Cut } from '../rules/cuts'
import { sumOf } from '../lists/sum-of'
import { PPM_PER_UNIT, type Fraction, type Grams, type Milliseconds, type Ppm } from '../units/quantities'
import { boundedLosses, type MeatWeighed, type PieceLoad } from './bounded-losses'
import { lossesOf } from './losses'
import { afterSoaks, type SoakedLot } from './soaked'
import { leastStayed, type NotShownWhy, type PieceCured, type Stayed } from './stayed'
import { byHappening, type Step } from '../life/step'

/** One thing that went onto a lot: the curing salt, or another part of its mix. */
export interface LotPut {
  atMs: Milliseconds
  /** 0 where nobody weighed it. */
  massG: Grams
  /** Shares of salt in it, its own and in what it is, and of nitrite as NaNO2. */
  saltShare: Fraction
  nitriteShare: Fraction
  /** Ids; null: shared out over all by weight. */
  pieces: readonly number[] | null
  /** True when it went on without being weighed. */
  unweighed?: boolean
  /** The readability of the scale its shares were weighed on; left out: the lot's mixing scale. */
  readabilityG?: Grams
}
export interface LotStayedQuestion extends SoakedLot {
  method: CureMethod
  cut: Cut
  /** How the mix lies on the sides; null where nobody said. */
  sides: SideShares | null
  rubbedAtMs: Milliseconds
  /** The water of the brine; 0 for a dry cure. */
  waterG: Grams
  /** `lowPpm` is what went in up to now, at its lowest. At least one. */
  pieces: readonly { pieceId: number; greenG: Grams; greenOffG: Grams; lowPpm: Ppm }[]
  puts: readonly LotPut[]
  mixReadabilityG: Grams
  steps: readonly Step[]
  /** What was taken up is not known: nothing can be said of the least. */
  upperBound: boolean
}
/**
 * `excess`: a salt box gives what nobody weighed. `not_weighed`: a brine left before it was even, not weighed yet.
 * `soaked`: it lay in water over two days, or nobody said how long.
 */
export type LotNotShownWhy = NotShownWhy | 'excess' | 'not_weighed' | 'soaked'
export type LotStayed = Stayed<LotNotShownWhy>

/**
 * The least nitrite that stayed in each piece of a lot by all that was told of it, ppm as NaNO2. A dry cure loses with
 * its liquid (see `leastStayed`); a brine spreads over all water (see `leastInBrine`), and a draining of it is no loss;
 * a pick-up keeps its own low figure. What a later weighing of the meat bounds counts as bounded.
 */
export function lotStayed(q: LotStayedQuestion): LotStayed {
  if (q.upperBound) return hiddenBy(q, q.method === 'excess' ? 'excess' : 'not_weighed')
  if (isWet(q.method)) return afterSoaks(inBrine(q), q.steps, q)
  const shares = q.puts.map(put => sharesOf(q, put))
  const pieces = q.pieces.map((piece, i): PieceCured => {
    const nitriteG = q.puts.map((put, k) => shares[k]![i]! * put.nitriteShare)
    const allG = sumOf(nitriteG, massG => massG)
    return {
      pieceId: piece.pieceId,
      greenG: piece.greenG,
      puts: q.puts.flatMap((put, k) =>
        isOn(put, piece.pieceId)
          ? {
              atMs: put.atMs,
              // A share that was weighed once more, on the mixing scale.
              saltLowG: Math.max(0, shares[k]![i]! - (put.readabilityG ?? q.mixReadabilityG)) * put.saltShare,
              nitriteLowG: allG > 0 ? ((piece.lowPpm * piece.greenG) / PPM_PER_UNIT) * (nitriteG[k]! / allG) : 0,
            }
          : [],
      ),
    }
  })
  const loads = q.pieces.map((piece, i): PieceLoad => ({
    pieceId: piece.pieceId,
    greenHighG: piece.greenG + piece.greenOffG,
    puts: q.puts.flatMap((put, k) =>
      isOn(put, piece.pieceId) ? { atMs: put.atMs, highG: shares[k]![i]! + (put.readabilityG ?? q.mixReadabilityG) } : [],
    ),
  }))
  const losses = boundedLosses(lossesOf(q.steps), weighingsOf(q), loads)
  const mostlyOnFat = isMostlyOnFat(q.cut, q.sides)
  return afterSoaks(leastStayed({ rubbedAtMs: q.rubbedAtMs, pieces, losses, mostlyOnFat, thicknessMm: q.thicknessMm }), q.steps, q)
}

const isOn = ({ pieces }: LotPut, pieceId: number): boolean => pieces === null || pieces.includes(pieceId)

/** What of it went onto each piece, in their order, grams. */
export const sharesOf = (q: Pick<LotStayedQuestion, 'pieces'>, put: LotPut): Grams[] =>
  shareByWeight(
    put.massG,
    q.pieces.map(piece => (isOn(put, piece.pieceId) ? piece.greenG : 0)),
  )

/**
 * Weighings of the meat by which nothing is left lying on it. After its rinse or a soak it carries water, which would
 * hide what ran off; with more on it than anybody weighed it bounds nothing.
 */
function weighingsOf({ steps, puts }: LotStayedQuestion): MeatWeighed[] {
  const hasMore = (id: number, atMs: Milliseconds) => puts.some(put => put.unweighed && put.atMs <= atMs && isOn(put, id))
  const isWater = (step: Step) => step.kind === 'soak' || (step.kind === 'out' && step.figures.rinses !== 0)
  const wet = (id: number, by: Step) =>
    steps.some(step => isWater(step) && step.pieces.includes(id) && byHappening(step, by) < 0)
  return steps.flatMap((step) => {
    if (step.kind !== 'weigh' || step.figures.what !== 'meat' || step.figures.saltLies) return []
    if (step.pieces.some(id => wet(id, step) || hasMore(id, step.fromMs))) return []
    return [{ atMs: step.fromMs, pieces: step.pieces, lowG: step.figures.netG - step.figures.offG }]
  })
}

const hiddenBy = ({ pieces }: LotStayedQuestion, why: LotNotShownWhy): LotStayed => ({
  leastPpm: null,
  lostShare: null,
  why,
  pieces: pieces.map(({ pieceId }) => ({ pieceId, leastPpm: null })),
})

function inBrine(q: LotStayedQuestion): LotStayed {
  const greenG = sumOf(q.pieces, piece => piece.greenG)
  const mixG = sumOf(q.puts, put => put.massG)
  const pieces = q.pieces.map(({ pieceId, lowPpm }) => ({
    pieceId,
    leastPpm:
      q.method === 'wet_pick_up'
        ? lowPpm
        : leastInBrine({
            nitriteG: (lowPpm * (greenG + q.waterG + mixG)) / PPM_PER_UNIT,
            greenG,
            brineWaterG: q.waterG,
            cut: q.cut,
          }),
  }))
  return { leastPpm: Math.min(...pieces.map(piece => piece.leastPpm)), lostShare: 0, why: null, pieces }
}

/**
 * The least that stayed in the worst of these pieces, ppm: it picks the rule they cool by. Null: not shown, or no
 * nitrite, and the stricter rule holds. `judgement` from before the figure was worked out stands on what went in, at
 * its lowest.
 */
export function leastOf(
  judgement: { lot: { lowPpm: Ppm } | null; stayed?: LotStayed | null },
  pieceIds: readonly number[],
): Ppm | null {
  if (judgement.stayed === undefined) return judgement.lot?.lowPpm ?? null
  const least = new Map(judgement.stayed?.pieces.map(piece => [piece.pieceId, piece.leastPpm]))
  const found = pieceIds.map(id => least.get(id) ?? null)
  return found.includes(null) ? null : Math.min(...(found as Ppm[]))
}

import { sumOf } from '../lists/sum-of'
import type { Grams, Milliseconds, Ppm } from '../units/quantities'
import { leastOf, lotStayed, sharesOf, type LotNotShownWhy, type LotStayedQuestion } from './lot-stayed'
import type { Step, StepOf } from '../life/step'

/** Meat that lost liquid nobody measured, and is to be weighed in place of it. */
export interface ToWeigh {
  pieces: readonly number[]
  /** How the liquid left. */
  drained: Pick<StepOf<'drain'>['figures'], 'how' | 'saltLies' | 'tookSalt'>
  atMs: Milliseconds
  /** What the scale can be off at that weight, grams. */
  offG: Grams
}
/** What its weight would show. */
export interface WeighingShows {
  /** The meat as it came in and all that went onto it, grams. */
  allG: Grams
  /** The least weight, whole grams, by which enough is shown to have stayed; null: no weight shows it. */
  fromG: Grams | null
  /** Why none does; null where too much left by what was told before. */
  why: LotNotShownWhy | null
}

/**
 * Works out what weighing the meat would show after liquid left that nobody measured: from which weight on at least
 * `neededPpm` stayed in each of these pieces by `lotStayed`, whatever ran off. The heavier, the more stayed, so the
 * weight is found by halving. Example: 2,000 g of belly with 55 g on it, 150 ppm, weighed on day 3 with nothing left
 * lying: from 2,002 g on it shows 100 ppm. Sources as `leastStayed`.
 */
export function weighingShows(q: LotStayedQuestion, { pieces, drained, atMs, offG }: ToWeigh, neededPpm: Ppm): WeighingShows {
  /** A step laid behind all that was told, in this order. */
  const told = (nth: number, kind: 'drain' | 'weigh', figures: Step['figures']) => {
    const id = Number.MAX_SAFE_INTEGER - 2 + nth
    return { id, kind, pieces: [...pieces], placeId: null, fromMs: atMs, toMs: atMs, figures } as Step
  }
  const unseen = told(1, 'drain', { ...drained, drained: null, back: false })
  const stayedAt = (netG: Grams) =>
    lotStayed({
      ...q,
      steps: [...q.steps, unseen, told(2, 'weigh', { what: 'meat', netG, offG, saltLies: false })],
    })
  const shows = (netG: Grams) => (leastOf({ lot: null, stayed: stayedAt(netG) }, pieces) ?? -1) >= neededPpm
  const allG = allOn(q, pieces)
  // Heavier than it can be: what the scale is off counts against it.
  let high = Math.ceil(allG + offG) + 1
  if (!shows(high)) return { allG, fromG: null, why: stayedAt(high).why }
  for (let low = 0; high - low > 1;) {
    const middle = Math.floor((low + high) / 2)
    if (shows(middle)) high = middle
    else low = middle
  }
  return { allG, fromG: high, why: null }
}

/** Green weight of pieces, and what went onto them. */
function allOn(q: LotStayedQuestion, ids: readonly number[]): Grams {
  const meant = q.pieces.map(piece => ids.includes(piece.pieceId))
  const greenG = sumOf(q.pieces.filter((_, i) => meant[i]), piece => piece.greenG)
  const onG = sumOf(q.puts, put => sumOf(sharesOf(q, put).filter((_, i) => meant[i]), share => share))
  return greenG + onG
}

import { sumOf } from '../lists/sum-of'
import { SOAK_STAYS, THINNEST_SHARE } from '../rules/house'
import type { Celsius, Fraction, Millimetres, Milliseconds } from '../units/quantities'
import { KINDS } from '../life/kinds/all-kinds'
import { soakLoss } from './soak-loss'
import type { Stayed } from './stayed'
import type { Step } from '../life/step'

/** What says how much water takes from a lot: its thickness as it was measured, and whether one face took the mix. */
export interface SoakedLot {
  thicknessMm: Millimetres
  oneFace: boolean
}
/** A stay in water; `untilMs` Infinity while it goes on and nobody said for how long. */
export interface WaterStay {
  fromMs: Milliseconds
  untilMs: Milliseconds
  /** The water at its warmest; null: nobody said. */
  waterC: Celsius | null
}

/** A piece's stays in water by a lot's standing steps, in order; what was out of it for ten minutes or less is one. */
export function waterStays(steps: readonly Step[], pieceId: number): WaterStay[] {
  const mine = steps.filter(step => step.pieces.includes(pieceId))
  const told = mine.flatMap((step): WaterStay[] => {
    if (step.kind !== 'soak') return []
    const next = mine.filter(other => KINDS[other.kind].becomes && other.fromMs > step.fromMs)
    const untilMs = Math.min(step.toMs ?? Infinity, ...next.map(other => other.fromMs))
    return [{ fromMs: step.fromMs, untilMs, waterC: step.figures.waterC }]
  })
  return told.toSorted((a, b) => a.fromMs - b.fromMs).reduce((stays: WaterStay[], stay) => {
    const last = stays.at(-1)
    if (!last || stay.fromMs - last.untilMs > SOAK_STAYS.apartMs) return [...stays, stay]
    const waterC = last.waterC === null || stay.waterC === null ? null : Math.max(last.waterC, stay.waterC)
    return [...stays.slice(0, -1), { fromMs: last.fromMs, untilMs: Math.max(last.untilMs, stay.untilMs), waterC }]
  }, [])
}

/** The most that water took of what was in a piece; null where nobody can say: over 48 h in all, or still in it. */
function lostToWater(steps: readonly Step[], pieceId: number, { thicknessMm, oneFace }: SoakedLot): Fraction | null {
  const stays = waterStays(steps, pieceId)
  if (stays.length === 0) return 0
  const allMs = sumOf(stays, ({ fromMs, untilMs }) => untilMs - fromMs)
  if (allMs > SOAK_STAYS.mostMs) return null
  const rubbedMs = Math.max(...steps.flatMap(step => (step.kind === 'rub' ? [step.fromMs] : [])))
  const kept = stays.reduce((share, { fromMs, untilMs, waterC }) => {
    const thinnest = { thicknessMm: thicknessMm * THINNEST_SHARE, oneFace }
    return share * (1 - soakLoss({ ms: untilMs - fromMs, waterC, curedMs: Math.max(0, fromMs - rubbedMs), ...thinnest }))
  }, 1)
  return 1 - kept
}

/**
 * The least that stayed after soaking, ppm as NaNO2: each stay in water takes at most what `soakLoss` says, and what
 * stays multiplies. Not shown after more than 48 h in water, or where nobody said how long. Pieces that no water saw
 * keep their figure. Example: 120 ppm, then two stays that take 10 % each at most: 97 ppm.
 */
export function afterSoaks<Why extends string>(
  stayed: Stayed<Why>,
  steps: readonly Step[],
  lot: SoakedLot,
): Stayed<Why | 'soaked'> {
  if (!steps.some(step => step.kind === 'soak')) return stayed
  const lost = new Map(stayed.pieces.map(({ pieceId }) => [pieceId, lostToWater(steps, pieceId, lot)]))
  const pieces = stayed.pieces.map(({ pieceId, leastPpm }) => {
    const share = lost.get(pieceId)!
    return { pieceId, leastPpm: leastPpm === null || share === null ? null : leastPpm * (1 - share) }
  })
  const why = stayed.why ?? ([...lost.values()].includes(null) ? 'soaked' : null)
  const most = Math.max(...[...lost.values()].map(share => share ?? 1))
  return {
    leastPpm: why ? null : Math.min(...pieces.map(piece => piece.leastPpm!)),
    // The share that the piece lost which lost most to each.
    lostShare: why ? null : 1 - (1 - (stayed.lostShare ?? 0)) * (1 - most),
    why,
    pieces,
  }
}

import { SHORT_SOAK } from '../rules/house'
import type { Fraction, Milliseconds, Ppm } from '../units/quantities'
import { MEANING } from './meaning'
import type { PieceStayed, Stayed } from './stayed'
import type { Step } from './step'

/** How long a piece lay in water by a lot's standing steps; Infinity while it lies there and nobody said for how long. */
export function soakedMs(steps: readonly Step[], pieceId: number): Milliseconds {
  const mine = steps.filter(step => step.pieces.includes(pieceId))
  return mine.reduce((sum, step) => {
    if (step.kind !== 'soak') return sum
    const next = mine.filter(other => MEANING[other.kind].becomes && other.fromMs > step.fromMs)
    const untilMs = Math.min(step.toMs ?? Infinity, ...next.map(other => other.fromMs))
    return sum + (untilMs - step.fromMs)
  }, 0)
}

/**
 * The least that stayed after soaking, ppm as NaNO2: up to an hour in water in all takes at most 5 % along (diffusion
 * model, 40 mm slab), after longer nothing is shown. Pieces that no water saw keep their figure.
 */
export function afterSoaks<Why extends string>(stayed: Stayed<Why>, steps: readonly Step[]): Stayed<Why | 'soaked'> {
  if (!steps.some(step => step.kind === 'soak')) return stayed
  const soaked = new Map(stayed.pieces.map(({ pieceId }) => [pieceId, soakedMs(steps, pieceId)]))
  const pieces = stayed.pieces.map(({ pieceId, leastPpm }) => ({ pieceId, leastPpm: kept(leastPpm, soaked.get(pieceId)!) }))
  const isLong = [...soaked.values()].some(ms => ms > SHORT_SOAK.mostMs)
  const why = stayed.why ?? (isLong ? 'soaked' : null)
  return {
    leastPpm: why ? null : Math.min(...pieces.map(piece => piece.leastPpm!)),
    lostShare: why ? null : worstShare(stayed, pieces),
    why,
    pieces,
  }
}

function kept(leastPpm: Ppm | null, ms: Milliseconds): Ppm | null {
  if (leastPpm === null || ms > SHORT_SOAK.mostMs) return null
  return ms > 0 ? leastPpm * (1 - SHORT_SOAK.lostShare) : leastPpm
}

/** What liquid and water took of the piece that lost most. */
function worstShare(
  { lostShare, pieces: before }: Pick<Stayed, 'lostShare' | 'pieces'>,
  pieces: readonly PieceStayed[],
): Fraction {
  const soaked = pieces.some((piece, i) => piece.leastPpm !== before[i]!.leastPpm)
  return soaked ? 1 - (1 - (lostShare ?? 0)) * (1 - SHORT_SOAK.lostShare) : (lostShare ?? 0)
}

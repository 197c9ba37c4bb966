import { sumOf } from '../lists/sum-of'
import { DRAIN_SETTLED_MS } from '../rules/house'
import { groupBy } from '../lists/group-by'
import type { Grams, Milliseconds } from '../units/quantities'
import type { Lost } from './stayed'

/** Meat that was weighed with no salt left lying, at its least. */
export interface MeatWeighed {
  atMs: Milliseconds
  pieces: readonly number[]
  lowG: Grams
}
/** A piece at its heaviest, and each time the most that went onto it, all of the mix. */
export interface PieceLoad {
  pieceId: number
  greenHighG: Grams
  puts: readonly { atMs: Milliseconds; highG: Grams }[]
}

/**
 * Losses, bounded by a later weighing of the pieces that lay in them: together at most green and all that was put on,
 * less the weight. What was lost of one liquid, with nothing put on between, shares the bound, those first in which
 * each gram takes the most along: the share of salt and of nitrite is the same, and both fall in line with the grams.
 * Where other losses touch the same pieces, each may be the whole bound. What no weighing bounds stays as it was told.
 * Example: 2,000 g green with 100 g of mix put on weighs 2,040 g on its way out; a cup told as poured off was at most
 * 60 g.
 */
export function boundedLosses(
  losses: readonly Lost[],
  weighed: readonly MeatWeighed[],
  loads: readonly PieceLoad[],
): Lost[] {
  const stretches = groupBy(
    losses.flatMap((loss) => {
      const by = weighed.find(one => one.atMs >= loss.atMs && loss.pieces.every(id => one.pieces.includes(id)))
      const lastPutMs = lastPut(loss, loads)
      return by ? [{ loss, by, lastPutMs, key: JSON.stringify([by.atMs, loss.pieces, lastPutMs]) }] : []
    }),
    one => one.key,
  )
  const bounded = new Map<Lost, Lost>()
  for (const stretch of stretches.values()) {
    const { loss: first, by } = stretch[0]!
    const boundG = boundOf(by, loads)
    const alone = losses.every(loss => isSame(loss, first) || !loss.pieces.some(id => first.pieces.includes(id)))
    let leftG = boundG
    const worstFirst = stretch.toSorted((a, b) => Number(takesMore(b)) - Number(takesMore(a)))
    for (const { loss } of worstFirst) {
      const highG = Math.min(loss.highG ?? Infinity, alone ? leftG : boundG)
      leftG -= highG
      bounded.set(loss, { ...loss, highG })
    }
  }
  return losses.map(loss => bounded.get(loss) ?? loss)
}

const isSame = (a: Lost, b: Lost): boolean => JSON.stringify(a.pieces) === JSON.stringify(b.pieces)
/** When something last went onto the pieces of a loss: drainings with the same one before them are of one stretch. */
const lastPut = (loss: Lost, loads: readonly PieceLoad[]): Milliseconds =>
  Math.max(
    ...loads
      .filter(load => loss.pieces.includes(load.pieceId))
      .flatMap(load => load.puts.map(put => put.atMs).filter(atMs => atMs <= loss.atMs)),
  )
/** True when each gram of this liquid took more along than later ones. */
const takesMore = ({ loss, lastPutMs }: { loss: Lost; lastPutMs: Milliseconds }): boolean =>
  loss.saltLies || loss.atMs - lastPutMs <= DRAIN_SETTLED_MS

function boundOf(by: MeatWeighed, loads: readonly PieceLoad[]): Grams {
  const highG = loads
    .filter(load => by.pieces.includes(load.pieceId))
    .reduce(
      (sum, load) =>
        sum + load.greenHighG + sumOf(load.puts, put => (put.atMs <= by.atMs ? put.highG : 0)),
      0,
    )
  return Math.max(0, highG - by.lowG)
}

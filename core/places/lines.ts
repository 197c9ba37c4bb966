import type { Stay } from '../life/fold'
import type { Stage } from '../life/kinds/stage'
import type { Celsius, Milliseconds } from '../units/quantities'

export interface PlaceReading {
  atMs: Milliseconds
  tempC: Celsius
}

/** A straight line between two readings of a place, as far as a piece lay there meanwhile. */
export interface WarmthLine {
  placeId: number
  stage: Stage
  fromMs: Milliseconds
  toMs: Milliseconds
  fromC: Celsius
  toC: Celsius
}

const between = (a: PlaceReading, b: PlaceReading, atMs: Milliseconds): Celsius =>
  a.tempC + ((b.tempC - a.tempC) * (atMs - a.atMs)) / (b.atMs - a.atMs)

/**
 * What a piece lay in, by the readings of the places it was in, each in order of time: lines between two readings,
 * clipped to its stays. Before a place's first reading and after its last nothing is said. In a heat the heat's own
 * readings judge.
 */
export function warmthLines(
  stays: readonly Stay[],
  readingsOf: (placeId: number) => readonly PlaceReading[],
): WarmthLine[] {
  return stays.flatMap(({ placeId, stage, fromMs, toMs }) => {
    if (placeId === null || stage === 'heat') return []
    const readings = readingsOf(placeId)
    return readings.flatMap((a, i) => {
      const b = readings[i + 1]
      if (!b || b.atMs <= a.atMs) return []
      const [from, to] = [Math.max(a.atMs, fromMs), Math.min(b.atMs, toMs ?? b.atMs)]
      if (to <= from) return []
      return [{ placeId, stage, fromMs: from, toMs: to, fromC: between(a, b, from), toC: between(a, b, to) }]
    })
  })
}

/** What of a line lies outside stretches. */
export function outside(line: WarmthLine, cut: readonly { fromMs: number; toMs: number }[]): WarmthLine[] {
  let left = [line]
  for (const { fromMs, toMs } of cut)
    left = left.flatMap((one) => {
      if (toMs <= one.fromMs || fromMs >= one.toMs) return [one]
      return [
        ...(fromMs > one.fromMs ? [partOf(one, one.fromMs, fromMs)] : []),
        ...(toMs < one.toMs ? [partOf(one, toMs, one.toMs)] : []),
      ]
    })
  return left
}

function partOf(line: WarmthLine, fromMs: Milliseconds, toMs: Milliseconds): WarmthLine {
  const at = (ms: Milliseconds) => line.fromC + ((line.toC - line.fromC) * (ms - line.fromMs)) / (line.toMs - line.fromMs)
  return { ...line, fromMs, toMs, fromC: at(fromMs), toC: at(toMs) }
}

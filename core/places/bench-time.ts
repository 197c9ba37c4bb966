import type { Stay } from '../life/fold'
import { sumOf } from '../lists/sum-of'
import { BENCH_CHECKS } from '../rules/house'
import type { Celsius, Milliseconds } from '../units/quantities'
import { outside, warmthLines, type PlaceReading, type WarmthLine } from './lines'
import { stretchesAbove } from './warmth'

/** How long a piece lay warm on counters and tables, in all. `toMs` null: it lies there. */
export interface BenchTime {
  placeId: number
  fromMs: Milliseconds
  toMs: Milliseconds | null
  lastedMs: Milliseconds
  warmestC: Celsius
}

export interface BenchQuestion {
  isBench: (placeId: number) => boolean
  readingsOf: (placeId: number) => readonly PlaceReading[]
  /** Above this it counts: the shop's limit for what lies cold. */
  limitC: Celsius
  sinceMs: Milliseconds
  /** What decisions cover does not count. */
  decided: readonly { fromMs: Milliseconds; toMs: Milliseconds }[]
  nowMs: Milliseconds
}

/** A stay on a bench as lines: by its readings, and as warm as a room before the first and after the last. */
function linesOf(stay: Stay & { placeId: number; toMs: Milliseconds }, readings: readonly PlaceReading[]): WarmthLine[] {
  const { placeId, stage, fromMs, toMs } = stay
  const read = warmthLines([stay], () => readings)
  const room = (from: Milliseconds, to: Milliseconds): WarmthLine[] =>
    to > from ? [{ placeId, stage, fromMs: from, toMs: to, fromC: BENCH_CHECKS.unreadC, toC: BENCH_CHECKS.unreadC }] : []
  if (read.length === 0) return room(fromMs, toMs)
  return [...room(fromMs, read[0]!.fromMs), ...read, ...room(read.at(-1)!.toMs, toMs)]
}

/**
 * The time of a piece on benches above a temperature, over all its life; null where there is none. Example: two hours
 * on a table that nobody read are two hours at 20 °C.
 */
export function benchTime(stays: readonly Stay[], question: BenchQuestion): BenchTime | null {
  const { isBench, readingsOf, limitC, sinceMs, decided, nowMs } = question
  const lines = stays.flatMap((stay) => {
    const { placeId, stage } = stay
    const [fromMs, toMs] = [Math.max(stay.fromMs, sinceMs), stay.toMs ?? nowMs]
    if (placeId === null || stage === 'heat' || toMs <= fromMs || !isBench(placeId)) return []
    return linesOf({ ...stay, placeId, fromMs, toMs }, readingsOf(placeId)).flatMap(line => outside(line, decided))
  })
  const warm = stretchesAbove(lines, limitC)
  const [first, last] = [warm[0], warm.at(-1)]
  if (!first || !last) return null
  const lies = stays.at(-1)!
  const goesOn = lies.toMs === null && lies.placeId !== null && isBench(lies.placeId) && last.toMs === nowMs
  return {
    placeId: first.placeId,
    fromMs: first.fromMs,
    toMs: goesOn ? null : last.toMs,
    lastedMs: sumOf(warm, one => one.lastedMs),
    warmestC: Math.max(...warm.map(one => one.worstC)),
  }
}

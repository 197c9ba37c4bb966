import { type Celsius, type Milliseconds, MS_PER_SECOND } from '../units/quantities'
import type { CoreReading } from '../readings/core-reading'

/** Rate that grows tenfold every `zC` degrees: rate(T) = perSecond x 10^((T - atC)/zC). */
export interface ExponentialRate {
  perSecond: number
  atC: Celsius
  zC: Celsius
  /** The temperature below which nothing is credited. */
  fromC: Celsius
  /** Segments longer than this are not credited. */
  longestGapMs: Milliseconds
}

const rateAt = (tempC: Celsius, rate: ExponentialRate): number => rate.perSecond * 10 ** ((tempC - rate.atC) / rate.zC)

/** Integral over one straight segment, closed form: r(a) dt (e^x - 1)/x with x = ln10 (b - a)/z. */
function segment(aC: Celsius, bC: Celsius, seconds: number, rate: ExponentialRate): number {
  const x = (Math.LN10 * (bC - aC)) / rate.zC
  const shape = x === 0 ? 1 : Math.expm1(x) / x
  return rateAt(aC, rate) * seconds * shape
}

/**
 * Running integral of an exponential rate over readings joined by straight lines, one value a reading, the first 0.
 * Readings in order of time. Exact for straight lines (closed form a segment), also where a line passes `fromC`.
 */
export function creditAlong(readings: readonly CoreReading[], rate: ExponentialRate): number[] {
  let sum = 0
  return readings.map((reading, i) => {
    const before = readings[i - 1]
    if (!before) return 0
    const seconds = (reading.atMs - before.atMs) / MS_PER_SECOND
    const low = Math.min(before.coreC, reading.coreC)
    const high = Math.max(before.coreC, reading.coreC)
    if (reading.atMs - before.atMs > rate.longestGapMs || high < rate.fromC || seconds <= 0) return sum
    if (low >= rate.fromC) sum += segment(before.coreC, reading.coreC, seconds, rate)
    else sum += segment(rate.fromC, high, (seconds * (high - rate.fromC)) / (high - low), rate)
    return sum
  })
}

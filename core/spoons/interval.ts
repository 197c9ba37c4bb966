/** A range that a figure surely lies in. */
export interface Interval {
  low: number
  high: number
}

export const exactly = (value: number): Interval => ({ low: value, high: value })
export const plus = (a: Interval, b: Interval): Interval => ({ low: a.low + b.low, high: a.high + b.high })
/** Product of two ranges that are 0 or more. */
export const times = (a: Interval, b: Interval): Interval => ({ low: a.low * b.low, high: a.high * b.high })
/** Quotient of ranges that are 0 or more; `b` more than 0. */
export const over = (a: Interval, b: Interval): Interval => ({ low: a.low / b.high, high: a.high / b.low })
export const middle = (a: Interval): number => (a.low + a.high) / 2
/** Rounding of what people write: two notations this near each other say the same. */
const NEAR = 0.02
/** Where all ranges overlap, widened by 2 % for rounding; null when they do not. */
export function shared(ranges: readonly Interval[]): Interval | null {
  const [low, high] = [Math.max(...ranges.map(one => one.low)), Math.min(...ranges.map(one => one.high))]
  if (low <= high) return { low, high }
  return low <= high * (1 + NEAR) ? { low: high, high: low } : null
}
/** The least range that holds them all. */
export const hull = (ranges: readonly Interval[]): Interval => ({
  low: Math.min(...ranges.map(one => one.low)),
  high: Math.max(...ranges.map(one => one.high)),
})

/** A range that a figure surely lies in. */
export interface Interval { low: number, high: number }

export const exactly = (value: number): Interval => ({ low: value, high: value })
export const plus = (a: Interval, b: Interval): Interval => ({ low: a.low + b.low, high: a.high + b.high })
/** Product of two ranges that are 0 or more. */
export const times = (a: Interval, b: Interval): Interval => ({ low: a.low * b.low, high: a.high * b.high })
/** Quotient of ranges that are 0 or more; `b` more than 0. */
export const over = (a: Interval, b: Interval): Interval => ({ low: a.low / b.high, high: a.high / b.low })
export const middle = (a: Interval): number => (a.low + a.high) / 2

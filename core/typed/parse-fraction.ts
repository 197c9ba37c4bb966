import { fail, ok, type Result } from '../result'
import { parseDecimal, plainText, type DecimalCode } from './parse-decimal'
import type { Fraction } from '../units/quantities'

export type PercentCode = DecimalCode | 'percent_range'

const PERCENT = 100

/**
 * A share typed as per cent: "2.5", "2,5 %". Returns the mass fraction, 0 to 1.
 * Must lie in `range` (per cent), else `percent_range`.
 */
export function parsePercent(raw: string, range: { min: number; max: number }): Result<Fraction, PercentCode> {
  const number = parseDecimal(plainText(raw).replace(/\s*%$/, ''))
  if (!number.ok) return number
  if (number.value < range.min || number.value > range.max) {
    return fail('percent_range', { typed: raw.trim(), min: range.min, max: range.max })
  }
  return ok(number.value / PERCENT)
}

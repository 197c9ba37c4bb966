import { fail, ok, type Result } from '../result'
import { parseDecimal, plainText } from '../typed/parse-decimal'
import type { PercentCode } from '../typed/parse-fraction'
import type { Fraction } from '../units/quantities'

/** A bare figure below this is the share itself: nothing is sold with less than 0.1 % of nitrite. */
const LEAST_PERCENT = 0.1

/**
 * An agent's share as labels and people write it: "6.25", "0.0625", "6,25 %" are all 6.25 %. With the sign it is per
 * cent; bare, 0.1 and more is per cent and less is the share itself. Returns the mass fraction; must lie in `range`
 * (per cent), else `percent_range`. The page shows back what was understood.
 */
export function parseAgentShare(raw: string, range: { min: number; max: number }): Result<Fraction, PercentCode> {
  const text = plainText(raw)
  const number = parseDecimal(text.replace(/\s*%$/, ''))
  if (!number.ok) return number
  const percent
    = text.endsWith('%') || number.value >= LEAST_PERCENT || number.value <= 0 ? number.value : number.value * 100
  if (percent < range.min || percent > range.max)
    return fail('percent_range', { typed: raw.trim(), min: range.min, max: range.max })
  return ok(percent / 100)
}

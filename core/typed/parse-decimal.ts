import { fail, ok, type Result } from '../result'

export type DecimalCode = 'empty' | 'foreign_digits' | 'not_a_number' | 'ambiguous_comma'

const MINUS_SIGNS = /[\u2212\u2013]/g
const ODD_SPACES = /[\u00a0\u2007\u2009\u202f]/g

/** Spaces and minus signs as keyboards and copied text bring them, made plain. */
export const plainText = (text: string): string => text.replace(MINUS_SIGNS, '-').replace(ODD_SPACES, ' ').trim()

/** True when the text holds a decimal digit of another script than 0 to 9. */
export const hasForeignDigits = (text: string): boolean => [...text].some(ch => /\p{Nd}/u.test(ch) && !/[0-9]/.test(ch))

/**
 * A plain number as people write it: "1.98", "1,98", "-1.5", "6 1/2", "1/2".
 * No exponents, no thousands marks: "1,840" is refused as `ambiguous_comma`, because it is
 * 1840 to one reader and 1.84 to another. Exact to the nearest double.
 */
export function parseDecimal(raw: string): Result<number, DecimalCode> {
  const text = plainText(raw)
  if (text === '') return fail('empty')
  if (hasForeignDigits(text)) return fail('foreign_digits')
  const mixed = /^(-?)(?:(\d+) +)?(\d+)\/(\d+)$/.exec(text)
  if (mixed) {
    const denominator = Number(mixed[4])
    if (denominator === 0) return fail('not_a_number')
    const value = Number(mixed[2] ?? 0) + Number(mixed[3]) / denominator
    return ok(mixed[1] ? -value : value)
  }
  if (/^-?[1-9]\d{0,2}(,\d{3})+$/.test(text)) return fail('ambiguous_comma', { typed: text })
  if (!/^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(text)) return fail('not_a_number')
  return ok(Number(text.replace(',', '.')))
}

import { fail, ok, type Result } from '../result'
import { parseDecimal, plainText, type DecimalCode } from './parse-decimal'
import { MILLIMETRES_PER_INCH, type Millimetres } from '../units/quantities'

export type LengthCode = DecimalCode | 'not_a_length' | 'length_range'
export interface LengthRange {
  minMm: Millimetres
  maxMm: Millimetres
}

const UNIT_MM: Record<string, number> = {
  'mm': 1,
  'cm': 10,
  'in': MILLIMETRES_PER_INCH,
  'inch': MILLIMETRES_PER_INCH,
  'inches': MILLIMETRES_PER_INCH,
  '"': MILLIMETRES_PER_INCH,
  '″': MILLIMETRES_PER_INCH,
}
const LENGTH = /^((?:\d+ +)?\d+\/\d+|[\d.,]+) *([a-z"″]*)$/

/**
 * A thickness as people write it: "40", "40 mm", "4 cm", "1.6 in", "1 5/8"". A bare figure is in the unit given.
 * Millimetres, inside the range (both ends in it), else `length_range`. Exact to the nearest double.
 */
export function parseLength(raw: string, bare: 'mm' | 'in', range: LengthRange): Result<Millimetres, LengthCode> {
  const text = plainText(raw).toLowerCase()
  if (text === '') return fail('empty')
  const match = LENGTH.exec(text)
  const unitMm = match && UNIT_MM[match[2] || bare]
  if (!match || !unitMm) return fail('not_a_length')
  const figure = parseDecimal(match[1]!)
  if (!figure.ok) return figure
  const mm = figure.value * unitMm
  return mm < range.minMm || mm > range.maxMm
    ? fail('length_range', { typed: raw.trim() })
    : ok(mm)
}

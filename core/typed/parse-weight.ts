import { fail, ok, type Result } from '../result'
import { hasForeignDigits, parseDecimal, plainText, type DecimalCode } from './parse-decimal'
import { GRAMS_PER_OUNCE, GRAMS_PER_POUND, OUNCES_PER_POUND, type Grams } from '../units/quantities'

export type WeightCode
  = | DecimalCode
    | 'not_a_weight'
    | 'not_positive'
    | 'ounces_over_16'
    | 'tare_above_gross'
    | 'tare_unit_missing'
    | 'too_light'
    | 'too_heavy'

export interface WeightEntry {
  netG: Grams
  grossG: Grams
  /** 0 when nothing was taken off. */
  tareG: Grams
  /** How many scale readings the net weight rests on: 2 with a tare. */
  readings: 1 | 2
}

export interface WeightRange {
  minG: Grams
  maxG: Grams
}

const UNIT_G: Record<string, Grams> = {
  g: 1,
  gr: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  kilo: 1000,
  kilos: 1000,
  lb: GRAMS_PER_POUND,
  lbs: GRAMS_PER_POUND,
  pound: GRAMS_PER_POUND,
  pounds: GRAMS_PER_POUND,
  oz: GRAMS_PER_OUNCE,
  ounce: GRAMS_PER_OUNCE,
  ounces: GRAMS_PER_OUNCE,
}
const NUMBER = String.raw`(?:\d+ +)?\d+\/\d+|[\d.,]+`
const POUNDS_AND_OUNCES = new RegExp(`^(\\d+) *(?:lb|lbs|pound|pounds) *(${NUMBER}) *(?:oz|ounce|ounces)?$`)
const ONE_UNIT = new RegExp(`^(${NUMBER}) *([a-z]*)$`)

interface Reading {
  massG: Grams
  hasUnit: boolean
}

function parseReading(text: string): Result<Reading, WeightCode> {
  const both = POUNDS_AND_OUNCES.exec(text)
  if (both) {
    const ounces = parseDecimal(both[2]!)
    if (!ounces.ok) return ounces
    if (ounces.value >= OUNCES_PER_POUND) return fail('ounces_over_16', { ounces: ounces.value })
    return ok({ massG: Number(both[1]) * GRAMS_PER_POUND + ounces.value * GRAMS_PER_OUNCE, hasUnit: true })
  }
  const one = ONE_UNIT.exec(text)
  if (!one) return fail('not_a_weight')
  const unitG = one[2] === '' ? 1 : UNIT_G[one[2]!]
  if (unitG === undefined) return fail('not_a_weight')
  const number = parseDecimal(one[1]!)
  if (!number.ok) return number
  return ok({ massG: number.value * unitG, hasUnit: one[2] !== '' })
}

/**
 * A weight as people type it: "4 lb 6.5 oz", "4lb6", "1.98 kg", "1,98 kg", "1980" (bare numbers are
 * grams), or gross minus tare, "2450 - 470". With a unit on the gross the tare needs one too.
 * Net weight must be more than 0 and inside `range` (grams), else a code that says which way.
 * Exact to the nearest double.
 */
export function parseWeight(raw: string, range: WeightRange): Result<WeightEntry, WeightCode> {
  const text = plainText(raw).toLowerCase()
  if (text === '') return fail('empty')
  if (hasForeignDigits(text)) return fail('foreign_digits')
  if (text.startsWith('-')) return fail('not_positive')
  const parts = text.split('-').map(part => part.trim())
  if (parts.length > 2) return fail('not_a_weight')
  const gross = parseReading(parts[0]!)
  if (!gross.ok) return gross
  let tareG = 0
  if (parts.length === 2) {
    const tare = parseReading(parts[1]!)
    if (!tare.ok) return tare
    if (gross.value.hasUnit && !tare.value.hasUnit) return fail('tare_unit_missing')
    tareG = tare.value.massG
  }
  const grossG = gross.value.massG
  const netG = grossG - tareG
  if (tareG > 0 && netG <= 0) return fail('tare_above_gross', { grossG, tareG })
  if (netG <= 0) return fail('not_positive')
  if (netG < range.minG) return fail('too_light', { netG })
  if (netG > range.maxG) return fail('too_heavy', { netG })
  return ok({ netG, grossG, tareG, readings: parts.length === 2 ? 2 : 1 })
}

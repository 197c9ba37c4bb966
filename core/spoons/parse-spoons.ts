import { fail, ok, type Result } from '../result'
import { parseDecimal, plainText, type DecimalCode } from '../typed/parse-decimal'
import { GRAMS_PER_OUNCE, GRAMS_PER_POUND, type Grams } from '../units/quantities'

/** Whose spoons: a tablespoon is 14.8, 15 or 20 mL. */
export const SPOON_SYSTEMS = ['us', 'metric', 'australian'] as const
export type SpoonSystem = (typeof SPOON_SYSTEMS)[number]

/** Exact by definition, mL. */
const ML: Record<SpoonSystem, Record<'cup' | 'tbsp' | 'tsp', number>> = {
  us: { cup: 236.5882365, tbsp: 14.78676478125, tsp: 4.92892159375 },
  metric: { cup: 250, tbsp: 15, tsp: 5 },
  australian: { cup: 250, tbsp: 20, tsp: 5 },
}
const SPOON_WORDS: Record<string, 'cup' | 'tbsp' | 'tsp'> = {
  cup: 'cup',
  cups: 'cup',
  c: 'cup',
  tbsp: 'tbsp',
  tbsps: 'tbsp',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  tbs: 'tbsp',
  tsp: 'tsp',
  tsps: 'tsp',
  teaspoon: 'tsp',
  teaspoons: 'tsp',
}
const WEIGHT_G: Record<string, Grams> = {
  g: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  kilo: 1000,
  kilos: 1000,
  oz: GRAMS_PER_OUNCE,
  ounce: GRAMS_PER_OUNCE,
  ounces: GRAMS_PER_OUNCE,
  lb: GRAMS_PER_POUND,
  lbs: GRAMS_PER_POUND,
  pound: GRAMS_PER_POUND,
  pounds: GRAMS_PER_POUND,
}

/** An amount by volume (level) or by weight; `perMeatG` when the line says for how much meat. */
export interface SpoonAmount {
  ml: number | null
  massG: Grams | null
  perMeatG: Grams | null
}
/** One line as it was written: an amount, and others that are said to be the same. */
export interface SpoonEntry extends SpoonAmount {
  also: SpoonAmount[]
}
export type SpoonCode = DecimalCode | 'not_an_amount' | 'unknown_unit' | 'amount_range'

const NUMBER = String.raw`(?:\d+ +)?\d+\/\d+|[\d.,]+`
const AMOUNT = new RegExp(`^(${NUMBER}) *(?:level +)?([a-z]+)\\.?$`)
const MOST = 1e6

function measured(text: string): Result<{ value: number; unit: string }, SpoonCode> {
  const match = AMOUNT.exec(text.trim())
  if (!match) return fail('not_an_amount', { typed: text })
  const number = parseDecimal(match[1]!)
  if (!number.ok) return number
  if (!(number.value > 0) || number.value > MOST) return fail('amount_range')
  return ok({ value: number.value, unit: match[2]! })
}

/** "1½" as keyboards write it becomes "1 1/2". */
const withPlainFractions = (text: string): string =>
  text.replace(/(\d*)\s*([¼½¾⅐-⅞])/g, (_, whole: string, sign: string) =>
    `${whole} ${sign.normalize('NFKC').replace('\u2044', '/')}`.trim(),
  )

/** Words and signs between an amount and the meat it is for: "per", "for", "a", or a stroke behind a unit. */
const PER = /\s+(?:per|for|to|an?|each|every)\s+(?:each +|every +)?|(?<=[a-z.])\s*\/\s*/
/** What stands between two ways of writing one amount: "3 g/kg = 1/5 tsp a pound". */
const SAME = /\s*[=;]\s*|\s+or\s+/

/** "3 g/kg = 2 ml/kg or 1/5 tsp a pound": each as `parseAmount` reads it; fails as the first that cannot be read. */
export function parseSpoons(raw: string, system: SpoonSystem): Result<SpoonEntry, SpoonCode> {
  const texts = raw.split(SAME)
  const amounts: SpoonAmount[] = []
  for (const text of texts) {
    const amount = parseAmount(text, system)
    if (!amount.ok) return amount
    amounts.push(amount.value)
  }
  const [first, ...also] = amounts
  return ok({ ...first!, also })
}

/**
 * "2 tsp", "1 1/2 cups", "3 oz", "15 ml", "2 tsp per 3 kg", "1 tbsp / 5 lb", "4 oz for 10 lb", "3 g/kg". Level
 * measures. Exact to the nearest double.
 */
export function parseAmount(raw: string, system: SpoonSystem): Result<SpoonAmount, SpoonCode> {
  const text = withPlainFractions(plainText(raw)).toLowerCase()
  if (text === '') return fail('empty')
  const [amountText = '', meatText] = text.split(PER)
  const amount = measured(amountText)
  if (!amount.ok) return amount
  let perMeatG: Grams | null = null
  if (meatText !== undefined) {
    const meat = measured(/^[\d.,]/.test(meatText) ? meatText : `1 ${meatText}`)
    if (!meat.ok) return meat
    const unitG = WEIGHT_G[meat.value.unit]
    if (unitG === undefined) return fail('unknown_unit', { unit: meat.value.unit })
    perMeatG = meat.value.value * unitG
  }
  const { value, unit } = amount.value
  const spoon = SPOON_WORDS[unit]
  if (spoon) return ok({ ml: value * ML[system][spoon], massG: null, perMeatG })
  if (unit === 'ml') return ok({ ml: value, massG: null, perMeatG })
  const unitG = WEIGHT_G[unit]
  return unitG === undefined ? fail('unknown_unit', { unit }) : ok({ ml: null, massG: value * unitG, perMeatG })
}

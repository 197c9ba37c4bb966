import { AIR_READ_RANGE, INGREDIENT_RANGE, type Range } from '#core/rules/ranges'
import { sumOf } from '#core/lists/sum-of'
import type { Celsius, Grams } from '#core/units/quantities'
import { z } from 'zod'
import { parseAgentShare } from '#core/agents/parse-agent-share'
import { parseTemperature } from '#core/typed/parse-temperature'
import { parsePercent } from '#core/typed/parse-fraction'
import { parseDecimal } from '#core/typed/parse-decimal'
import { parseWeight, type WeightEntry, type WeightRange } from '#core/typed/parse-weight'
import { fail, type Failure, type Result } from '#core/result'
import { named } from '../faults/issues'

const LONGEST_TYPED = 60
export const LONGEST_NAME = 120
const LONGEST_NOTE = 500
const PERCENT = 100

/**
 * Any text. Half of a surrogate pair, as a cut emoji leaves it, is refused: no database gives it back as it came, and
 * the book's hash covers what came. Source: the Unicode Standard, 3.9, D84.
 */
export const text = () => z.string().refine(value => value.isWellFormed(), named('ill_formed_text'))
/** Data of any shape, every text in it whole. */
export const anyJson = () => z.json().refine(value => isWhole(value), named('ill_formed_text'))
const isWhole = (value: unknown): boolean =>
  typeof value === 'string'
    ? value.isWellFormed()
    : typeof value !== 'object'
      || value === null
      || Object.entries(value).every(([key, inside]) => key.isWellFormed() && isWhole(inside))

/** Puts a core failure where Zod keeps its own, its code and figures with it. */
function refuse(ctx: z.RefinementCtx, failure: Failure): never {
  ctx.addIssue({ code: 'custom', message: failure.code, params: { code: failure.code, ...failure.params } })
  return z.NEVER
}

const parsed
  = <T>(parse: (typed: string) => Result<T>) =>
    (typed: string, ctx: z.RefinementCtx): T => {
      const found = parse(typed)
      return found.ok ? found.value : refuse(ctx, found)
    }

const typedText = () => text().max(LONGEST_TYPED)

export interface TypedWeight extends WeightEntry {
  typed: string
}
/** A weight as typed; comes out with what was typed and what it means. */
export const weight = (range: WeightRange) =>
  typedText().transform((typed, ctx): TypedWeight => ({
    typed: typed.trim(),
    ...parsed(text => parseWeight(text, range))(typed, ctx),
  }))

/** What is there when it is counted: a weight, or 0 for an empty jar. */
export const stockWeight = (maxG: Grams) =>
  typedText().transform((typed, ctx): TypedWeight =>
    /^0+([.,]0+)?\s*(g|kg|oz|lb)?$/i.test(typed.trim())
      ? { typed: typed.trim(), netG: 0, grossG: 0, tareG: 0, readings: 1 }
      : { typed: typed.trim(), ...parsed(text => parseWeight(text, { minG: INGREDIENT_RANGE.minG, maxG }))(typed, ctx) },
  )

export interface TypedTemperature {
  typed: string
  tempC: Celsius
}
/** A temperature as typed, with the unit a bare number has for this person. */
export const temperature = () =>
  z
    .strictObject({ typed: typedText(), unit: z.enum(['C', 'F']) })
    .transform(({ typed, unit }, ctx): TypedTemperature => ({
      // A bare number is kept with its unit, or the record could not be read back.
      typed: /[cf]\s*$/i.test(typed) ? typed.trim() : `${typed.trim()} °${unit}`,
      tempC: parsed(text => parseTemperature(text, unit))(typed, ctx),
    }))

export interface TypedHumidity {
  typed: string
  rh: number
}
/** Relative humidity as a hygrometer shows it, percent. */
export const relativeHumidity = () =>
  typedText().transform((typed, ctx): TypedHumidity => {
    const rh = parsed(text => parseDecimal(text.replace(/%\s*(rh)?\s*$/i, '')))(typed, ctx)
    if (typeof rh === 'number' && (rh < AIR_READ_RANGE.min || rh > AIR_READ_RANGE.max))
      refuse(ctx, fail('number_range', { min: AIR_READ_RANGE.min, max: AIR_READ_RANGE.max }))
    return { typed: typed.trim(), rh }
  })

const asPercent = ({ min, max }: Range): Range => ({ min: PERCENT * min, max: PERCENT * max })
/** A per cent as typed, of a range of shares; comes out as a mass fraction, 0 to 1. */
export const percent = (range: Range) => typedText().transform(parsed(text => parsePercent(text, asPercent(range))))

/** An agent's share as its label says it: per cent, or the share itself; comes out as a mass fraction. */
export const agentShare = (range: Range) => typedText().transform(parsed(text => parseAgentShare(text, asPercent(range))))

const ROUNDING = 1e-9
/** True when shares of one thing come to no more than the whole of it; sums of decimals may miss it by a hair. */
export const withinWhole = (...shares: number[]): boolean =>
  sumOf(shares, share => share) <= 1 + ROUNDING

/** A plain decimal as typed, inside a range. */
export const decimal = ({ min, max }: Range) =>
  typedText().transform((typed, ctx) => {
    const value = parsed(parseDecimal)(typed, ctx)
    if (typeof value === 'number' && (value < min || value > max))
      refuse(ctx, fail('number_range', { min, max }))
    return value
  })

/** A number inside a range. */
export const number = ({ min, max }: Range) => z.number().min(min).max(max)
/** A whole number inside a range. */
export const whole = ({ min, max }: Range) => z.int().min(min).max(max)

// Control characters have no place in a name; everything else, markup included, is kept as text and shown as text.
const CLEAN = /^[^\p{Cc}]*$/u
export const name = (max = LONGEST_NAME) =>
  text().trim().min(1, named('empty')).max(max).regex(CLEAN, named('control_characters'))
export const note = () => text().trim().max(LONGEST_NOTE).nullable()
export const reason = () => text().trim().min(3, named('reason_missing')).max(LONGEST_NOTE)
export const isoDate = () => z.iso.date(named('not_a_date'))
export const instantMs = () => z.number().int().min(0).max(8.64e15)
export const code = () => text().regex(/^[A-Z]-\d{4,9}$/, named('not_a_code'))
export const clientKey = () => z.uuid()

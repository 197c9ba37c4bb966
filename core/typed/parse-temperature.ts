import { fail, ok, type Result } from '../result'
import { parseDecimal, plainText, type DecimalCode } from './parse-decimal'
import { fahrenheitToCelsius, type Celsius, type TemperatureUnit } from '../units/quantities'

export type TemperatureCode = DecimalCode | 'temperature_range'

/** Anything outside is a slip of the key, not a fridge, a smoker or a piece of pork. */
export const TEMPERATURE_RANGE_C = { min: -40, max: 300 } as const

/**
 * A temperature as people type it: "3.5", "38 F", "3,5 °C", "-1". A bare number takes `bare`.
 * Must lie in -40 to 300 °C, else `temperature_range`.
 */
export function parseTemperature(raw: string, bare: TemperatureUnit): Result<Celsius, TemperatureCode> {
  const match = /^(.*?)\s*°?\s*([cf])?$/i.exec(plainText(raw))
  const number = parseDecimal(match?.[1] ?? '')
  if (!number.ok) return number
  const unit = (match?.[2]?.toUpperCase() ?? bare) as TemperatureUnit
  const tempC = unit === 'F' ? fahrenheitToCelsius(number.value) : number.value
  if (tempC < TEMPERATURE_RANGE_C.min || tempC > TEMPERATURE_RANGE_C.max) {
    return fail('temperature_range', { typed: raw.trim() })
  }
  return ok(tempC)
}

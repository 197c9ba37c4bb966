import { HYGROMETER_RIGHT_RH, HYGROMETER_USABLE_RH, THERMOMETER_RIGHT_C, THERMOMETER_USABLE_C } from '../rules/house'
import type { Celsius, Grams } from '../units/quantities'

/** What a check found. `error` is reading less reference, in the instrument's unit. */
export interface CheckVerdict {
  error: number
  allowed: number
  passed: boolean
}

/**
 * Steps of the maximum permissible error in use of a class III scale, in its divisions d, by load.
 * Source: OIML R 76-1:2006, table 6 (0.5, 1, 1.5 d at verification) and 3.5.2 (twice that in service).
 */
const SCALE_STEPS = [
  { upToDivisions: 500, allowedDivisions: 1 },
  { upToDivisions: 2000, allowedDivisions: 2 },
  { upToDivisions: Infinity, allowedDivisions: 3 },
] as const

/** A scale against a check weight. Masses in grams, readability above 0. */
export function judgeScaleCheck(check: { referenceG: Grams; readG: Grams; readabilityG: Grams }): CheckVerdict {
  const divisions = check.referenceG / check.readabilityG
  const step = SCALE_STEPS.find(s => divisions <= s.upToDivisions)!
  const allowed = step.allowedDivisions * check.readabilityG
  const error = check.readG - check.referenceG
  return { error, allowed, passed: Math.abs(error) <= allowed * (1 + 1e-9) }
}

/** Melting ice in water, stirred: 0 °C at any height above the sea. */
export const ICE_POINT_C: Celsius = 0

/** A thermometer against ice water or a reference thermometer. Passes while its offset can be taken off. °C. */
export function judgeThermometerCheck(check: {
  referenceC: Celsius
  readC: Celsius
}): CheckVerdict & { offsetC: Celsius } {
  const error = check.readC - check.referenceC
  const passed = Math.abs(error) <= THERMOMETER_USABLE_C * (1 + 1e-9)
  const right = Math.abs(error) <= THERMOMETER_RIGHT_C * (1 + 1e-9)
  return { error, allowed: THERMOMETER_USABLE_C, passed, offsetC: passed && !right ? error : 0 }
}

/**
 * Relative humidity over wet table salt in a closed bag, percent at 20 to 25 °C. Source: Greenspan, Humidity fixed
 * points of binary saturated aqueous solutions, 1977 (75.5 at 20 °C, 75.3 at 25 °C).
 */
export const SALT_POINT_RH = 75

/** A hygrometer against wet salt or a reference. Passes while its offset can be taken off. Percent of humidity. */
export function judgeHygrometerCheck(check: { referenceRh: number; readRh: number }): CheckVerdict & { offset: number } {
  const error = check.readRh - check.referenceRh
  const passed = Math.abs(error) <= HYGROMETER_USABLE_RH * (1 + 1e-9)
  const right = Math.abs(error) <= HYGROMETER_RIGHT_RH * (1 + 1e-9)
  return { error, allowed: HYGROMETER_USABLE_RH, passed, offset: passed && !right ? error : 0 }
}

/** What a thermometer's reading stands for once its offset is taken off. */
export const withoutOffset = (readC: Celsius, offsetC: Celsius): Celsius => readC - offsetC

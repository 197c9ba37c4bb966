/**
 * Units used inside: every name that carries a figure ends in its unit, and its type says it again, so that grams do not
 * pass for ppm. A plain number passes for any: literals need no cast, and what was computed (`a / b`) is a number until
 * a name gives it its unit.
 */
type Unit<Name extends string> = number & { readonly unit?: Name }
export type Grams = Unit<'g'>
export type Millimetres = Unit<'mm'>
export type Seconds = Unit<'s'>
export type Milliseconds = Unit<'ms'>
export type Celsius = Unit<'°C'>
export type TemperatureUnit = 'C' | 'F'
/** Mass fraction, 0 to 1. */
export type Fraction = Unit<'1'>
/** Milligrams per kilogram. */
export type Ppm = Unit<'mg/kg'>
export type Days = Unit<'d'>

// Exact by definition (international yard and pound agreement; SI).
export const GRAMS_PER_KILOGRAM = 1000
export const GRAMS_PER_POUND = 453.59237
export const GRAMS_PER_OUNCE = 28.349523125
export const OUNCES_PER_POUND = 16
export const MILLIMETRES_PER_INCH = 25.4
export const PPM_PER_UNIT = 1e6
export const SECONDS_PER_MINUTE = 60
export const MINUTES_PER_HOUR = 60
export const SECONDS_PER_HOUR = SECONDS_PER_MINUTE * MINUTES_PER_HOUR
export const HOURS_PER_DAY = 24
export const SECONDS_PER_DAY = SECONDS_PER_HOUR * HOURS_PER_DAY
export const MS_PER_SECOND = 1000
export const MS_PER_MINUTE = SECONDS_PER_MINUTE * MS_PER_SECOND
export const MS_PER_HOUR = SECONDS_PER_HOUR * MS_PER_SECOND
export const MS_PER_DAY = SECONDS_PER_DAY * MS_PER_SECOND

/** °C to °F, exact: x 9/5 + 32. */
export const celsiusToFahrenheit = (tempC: Celsius): number => (tempC * 9) / 5 + 32
/** °F to °C, exact. */
export const fahrenheitToCelsius = (tempF: number): Celsius => ((tempF - 32) * 5) / 9

import {
  celsiusToFahrenheit,
  GRAMS_PER_OUNCE,
  MILLIMETRES_PER_INCH,
  OUNCES_PER_POUND,
  type Celsius,
  type Fraction,
  type Grams,
  type Millimetres,
  type Ppm,
  type TemperatureUnit,
} from './quantities'

/** How one person writes figures: chosen once, used everywhere. */
export interface Notation {
  mass: 'metric' | 'us'
  temperature: TemperatureUnit
  decimal: '.' | ','
  dates: 'dmy' | 'mdy' | 'iso'
}

export const DEFAULT_NOTATION: Notation = { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' }

/** A figure with a fixed number of decimals (0 to 10), in the person's decimal sign; -0 prints as 0. */
export function formatNumber(value: number, decimals: number, decimal: '.' | ','): string {
  const text = value.toFixed(decimals)
  const signed = Number(text) === 0 ? text.replace('-', '') : text
  return signed.replace('.', decimal).replace('-', '\u2212')
}

const MOST_EXACT_DECIMALS = 6
/**
 * A figure that people chose, as they chose it: as many decimals as it has, six at most, no needless zeros. 0.35 stays
 * 0.35.
 */
export const formatExact = (value: number, decimal: '.' | ','): string => {
  const text = formatNumber(value, MOST_EXACT_DECIMALS, decimal)
  return text.replace(/[.,]?0+$/, '')
}

/** Decimals that a scale of this readability (grams, more than 0) can show: 5 g gives 0, 0.1 g gives 1. */
export const decimalsFor = (readabilityG: Grams): number => Math.max(0, Math.ceil(-Math.log10(readabilityG) - 1e-9))

/** Meat and packs: "1.840 kg", "840 g", or "4 lb 0.9 oz". Rounded once, here. */
export function formatMeat(massG: Grams, as: Notation): string {
  if (as.mass === 'us') {
    const tenths = Math.round((massG / GRAMS_PER_OUNCE) * 10)
    const pounds = Math.floor(tenths / 10 / OUNCES_PER_POUND)
    const ounces = formatNumber(tenths / 10 - pounds * OUNCES_PER_POUND, 1, as.decimal)
    return pounds > 0 ? `${pounds} lb ${ounces} oz` : `${ounces} oz`
  }
  if (Math.abs(massG) < 999.5) return `${formatNumber(massG, 0, as.decimal)} g`
  return `${formatNumber(massG / 1000, massG < 100_000 ? 3 : 1, as.decimal)} kg`
}

/** Salts, sugars and spices: always grams, because a kitchen scale in ounces is too coarse for a cure. */
export const formatIngredient = (massG: Grams, as: Notation, readabilityG: Grams): string =>
  `${formatNumber(massG, decimalsFor(readabilityG), as.decimal)} g`

/** "3.5 °C" or "38.3 °F", one decimal. */
export function formatTemperature(tempC: Celsius, as: Notation): string {
  const shown = as.temperature === 'F' ? celsiusToFahrenheit(tempC) : tempC
  return `${formatNumber(shown, 1, as.decimal)} °${as.temperature}`
}

/** A difference of temperatures with its sign: "+0.8 °C", "−1.4 °F". No zero point: 9/5 only. */
export function formatOffset(offsetC: Celsius, as: Notation): string {
  const shown = as.temperature === 'F' ? (offsetC * 9) / 5 : offsetC
  return `${Math.round(shown * 10) > 0 ? '+' : ''}${formatNumber(shown, 1, as.decimal)} °${as.temperature}`
}

/** A limit in running words: "7 °C", "44.6 °F"; no needless ".0". */
export const formatLimit = (tempC: Celsius, as: Notation): string =>
  formatTemperature(tempC, as).replace(/[.,]0 °/, ' °')

/** "150 ppm"; one decimal below 10. */
export const formatPpm = (ppm: Ppm, as: Notation): string => `${formatNumber(ppm, ppm < 10 ? 1 : 0, as.decimal)} ppm`

const MOST_PPM_DECIMALS = 3
/**
 * A figure said beside the limit it misses, with the decimals it takes to tell them apart: "200.3 ppm", limit 200 ppm.
 */
export function formatPpmBeside(ppm: Ppm, beside: Ppm, as: Notation): string {
  let decimals = ppm < 10 ? 1 : 0
  while (decimals < MOST_PPM_DECIMALS && ppm.toFixed(decimals) === beside.toFixed(decimals)) decimals++
  return `${formatNumber(ppm, ppm.toFixed(decimals) === beside.toFixed(decimals) ? 0 : decimals, as.decimal)} ppm`
}

/** "2.5 %"; decimals 0 to 4. */
export const formatPercent = (share: Fraction, as: Notation, decimals = 1): string =>
  `${formatNumber(share * 100, decimals, as.decimal)} %`

/** "40 mm" or "1.57 in". */
export const formatLength = (lengthMm: Millimetres, as: Notation): string =>
  as.mass === 'us'
    ? `${formatNumber(lengthMm / MILLIMETRES_PER_INCH, 2, as.decimal)} in`
    : `${formatNumber(lengthMm, 0, as.decimal)} mm`

import type { Celsius, Fraction, Grams, Milliseconds, Ppm } from '#core/units/quantities'
import { localDay, localTime } from '#core/calendar/local-day'
import { formatDateInYear } from '#core/calendar/format-date'
import {
  formatMeat,
  formatNumber,
  formatPpm,
  formatPpmBeside,
  formatTemperature,
  type Notation,
} from '#core/units/format'

/** Figures of a refusal in one person's way of writing. */
export const said = {
  /** A share as per cent with as many decimals as it has: for limits, which are round. */
  limit: (share: Fraction) => `${Number((share * 100).toFixed(4))} %`,
  /** A whole number, its thousands set apart: 5,000. */
  count: (n: number) => n.toLocaleString('en'),
  meat: (massG: Grams, as: Notation) => formatMeat(massG, as),
  /** One decimal, or two where one would drop something: 0.34 g to take off must not become 0.3. */
  grams: (massG: Grams, as: Notation) => {
    const tenths = massG * 10
    return `${formatNumber(massG, Math.abs(tenths - Math.round(tenths)) < 1e-6 ? 1 : 2, as.decimal)} g`
  },
  /** A share as per cent, two decimals. */
  percent: (fraction: number, as: Notation, decimals = 2) => `${formatNumber(fraction * 100, decimals, as.decimal)} %`,
  ppm: (ppm: Ppm, as: Notation) => formatPpm(ppm, as),
  ppmBeside: (ppm: Ppm, otherPpm: Ppm, as: Notation) => formatPpmBeside(ppm, otherPpm, as),
  temperature: (tempC: Celsius, as: Notation) => formatTemperature(tempC, as),
  date: (day: string, as: Notation) => (/^\d{4}-\d\d-\d\d$/.test(day) ? formatDateInYear(day, as.dates) : day),
  /** "26 Nov 2026, 09:12", on the clock of the zone. */
  moment: (atMs: Milliseconds, zone: string, as: Notation) =>
    `${formatDateInYear(localDay(atMs, zone), as.dates)}, ${localTime(atMs, zone)}`,
}

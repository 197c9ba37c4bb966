import { localDay, localTime } from '#core/calendar/local-day'
import { formatDateInYear } from '#core/units/format-date'
import {
  formatMeat,
  formatNumber,
  formatPpm,
  formatPpmBeside,
  formatTemperature,
  type Notation,
} from '#core/units/format'

export type Params = Record<string, string | number> | undefined
export type Words = (params: NonNullable<Params>, as: Notation) => string

const number = (params: NonNullable<Params>, key: string): number => Number(params[key] ?? Number.NaN)

/** Figures of a refusal in one person's way of writing. */
export const said = {
  meat: (p: NonNullable<Params>, key: string, as: Notation) => formatMeat(number(p, key), as),
  /** One decimal, or two where one would drop something: 0.34 g to take off must not become 0.3. */
  grams: (p: NonNullable<Params>, key: string, as: Notation) => {
    const massG = number(p, key)
    const tenths = massG * 10
    return `${formatNumber(massG, Math.abs(tenths - Math.round(tenths)) < 1e-6 ? 1 : 2, as.decimal)} g`
  },
  /** A share as per cent, two decimals. */
  percent: (p: NonNullable<Params>, key: string, as: Notation) =>
    `${formatNumber(number(p, key) * 100, 2, as.decimal)} %`,
  ppm: (p: NonNullable<Params>, key: string, as: Notation) => formatPpm(number(p, key), as),
  ppmBeside: (p: NonNullable<Params>, key: string, other: string, as: Notation) =>
    formatPpmBeside(number(p, key), number(p, other), as),
  temperature: (p: NonNullable<Params>, key: string, as: Notation) => formatTemperature(number(p, key), as),
  date: (p: NonNullable<Params>, key: string, as: Notation) => {
    const day = String(p[key] ?? '')
    return /^\d{4}-\d\d-\d\d$/.test(day) ? formatDateInYear(day, as.dates) : day
  },
  /** "26 Nov 2026, 09:12", on the clock of the zone beside it. */
  moment: (p: NonNullable<Params>, key: string, as: Notation) =>
    `${formatDateInYear(localDay(number(p, key), String(p.zone)), as.dates)}, ${localTime(number(p, key), String(p.zone))}`,
  plain: (p: NonNullable<Params>, key: string) => String(p[key] ?? ''),
}

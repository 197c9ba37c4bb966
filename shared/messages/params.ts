import { formatMeat, formatNumber, formatPpm, formatTemperature, type Notation } from '#core/units/format'

export type Params = Record<string, string | number> | undefined
export type Words = (params: NonNullable<Params>, as: Notation) => string

const number = (params: NonNullable<Params>, key: string): number => Number(params[key] ?? Number.NaN)

/** Figures of a refusal in one person's way of writing. */
export const said = {
  meat: (p: NonNullable<Params>, key: string, as: Notation) => formatMeat(number(p, key), as),
  grams: (p: NonNullable<Params>, key: string, as: Notation) => `${formatNumber(number(p, key), 1, as.decimal)} g`,
  ppm: (p: NonNullable<Params>, key: string, as: Notation) => formatPpm(number(p, key), as),
  temperature: (p: NonNullable<Params>, key: string, as: Notation) => formatTemperature(number(p, key), as),
  plain: (p: NonNullable<Params>, key: string) => String(p[key] ?? ''),
}

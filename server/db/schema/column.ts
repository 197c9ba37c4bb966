import { DataTypes, type ModelAttributeColumnOptions } from 'sequelize'
import { z } from 'zod'
import type { Celsius, Fraction, Grams, Milliseconds, Ppm } from '#core/units/quantities'
import { readJson } from './json-text'

/** How a column's value is written in the shop's export, and bound again on import. */
export interface Portable {
  schema: z.ZodType
  out: (value: unknown) => unknown
  back: (value: unknown) => unknown
}

/** A column and how its value is read at the border, so that rows leave the database as plain core types. */
export interface Column<T> {
  options: ModelAttributeColumnOptions
  read: (value: unknown) => T
  portable: Portable
  /** May hold very much: what reads many such rows looks first how heavy they are. */
  heavy?: boolean
}

const same = (value: unknown): unknown => value
const plain = (schema: z.ZodType, out: (value: unknown) => unknown = same): Portable => ({ schema, out, back: same })
const column = <T>(
  type: ModelAttributeColumnOptions['type'],
  read: (value: unknown) => T,
  portable: Portable,
): Column<T> => ({ options: { type, allowNull: false }, read, portable })

const heavy = <T>(of: Column<T>): Column<T> => ({ ...of, heavy: true })

const GRAM_DIGITS = { digits: 13, decimals: 4 }
const ZERO = '0'.charCodeAt(0)
const NO_ZONE = /^(\d{4}-\d\d-\d\d)[ T](\d\d:\d\d:\d\d\.\d{3})/

/** The ISO text of a DATETIME(3) as the driver brings it, "2026-11-27 21:50:34.123", always in UTC. */
const asIso = (value: unknown): string => `${(value as string).replace(' ', 'T')}Z`
/** The same in milliseconds; digit by digit, in half the time of `Date.parse`: a page has thousands. */
function asMs(value: unknown): Milliseconds {
  const text = value as string
  const digits = (from: number, to: number): number => {
    let figure = 0
    for (let i = from; i < to; i++) figure = figure * 10 + text.charCodeAt(i) - ZERO
    return figure
  }
  const day = [digits(0, 4), digits(5, 7) - 1, digits(8, 10)] as const
  return Date.UTC(...day, digits(11, 13), digits(14, 16), digits(17, 19), digits(20, 23))
}
const parsedJson = (value: unknown): unknown => readJson(value as string)

export const int = () => column(DataTypes.INTEGER, Number, plain(z.int(), Number))
export const text = <T extends string = string>(length = 255) =>
  column<T>(DataTypes.STRING(length), value => String(value) as T, plain(z.string().max(length), String))
/** Kept to the byte: what a hash covers must come back as it went in. */
export const longText = () => heavy(column(DataTypes.TEXT('medium'), String, plain(z.string(), String)))
/** Whole numbers up to 2^53. */
export const bigint = () => column(DataTypes.BIGINT, Number, plain(z.int(), Number))
export const uuid = () => column(DataTypes.UUID, String, plain(z.uuid(), String))
/**
 * `digits` in all, `decimals` of them behind the point. Exact in the database and in the export, a number here: DECIMAL
 * arrives as a string.
 */
export const decimal = (digits: number, decimals: number) =>
  column(DataTypes.DECIMAL(digits, decimals), Number, plain(z.string().regex(/^-?\d+(\.\d+)?$/), String))
export const grams = (): Column<Grams> => decimal(GRAM_DIGITS.digits, GRAM_DIGITS.decimals)
export const ppm = (): Column<Ppm> => decimal(8, 3)
export const celsius = (): Column<Celsius> => decimal(7, 3)
export const share = (): Column<Fraction> => decimal(10, 8)
export const bool = () => column(DataTypes.BOOLEAN, Boolean, plain(z.boolean(), Boolean))
/** Milliseconds since 1970, UTC; a DATETIME(3) in the database. */
export const instant = (): Column<Milliseconds> =>
  column(DataTypes.DATE(3), asMs, {
    schema: z.iso.datetime({ precision: 3 }),
    out: asIso,
    back: value => String(value).replace(NO_ZONE, '$1 $2').replace('Z', ''),
  })
/** A calendar date, "2026-03-08". */
export const day = () =>
  column(DataTypes.DATEONLY, String, plain(z.iso.date(), String))
export const json = <T>() =>
  heavy(
    column<T>(DataTypes.JSON, value => parsedJson(value) as T, {
      schema: z.json(),
      out: parsedJson,
      back: value => JSON.stringify(value),
    }),
  )
export const blob = () =>
  heavy(
    column(DataTypes.BLOB('medium'), value => value as Buffer, {
      schema: z.base64(),
      out: value => (value as Buffer).toString('base64'),
      back: value => Buffer.from(String(value), 'base64'),
    }),
  )

const none = (value: unknown): value is null | undefined => value === null || value === undefined

export const nullable = <T>(of: Column<T>): Column<T | null> => ({
  ...(of.heavy ? { heavy: true } : {}),
  options: { ...of.options, allowNull: true },
  read: value => (none(value) ? null : of.read(value)),
  portable: {
    schema: of.portable.schema.nullable(),
    out: value => (none(value) ? null : of.portable.out(value)),
    back: value => (none(value) ? null : of.portable.back(value)),
  },
})

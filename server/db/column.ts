import { DataTypes, type ModelAttributeColumnOptions } from 'sequelize'

/** A column and how its value is read at the border, so that rows leave the database as plain core types. */
export interface Column<T> {
  options: ModelAttributeColumnOptions
  read: (value: unknown) => T
}

const column = <T>(type: ModelAttributeColumnOptions['type'], read: (value: unknown) => T): Column<T> =>
  ({ options: { type, allowNull: false }, read })

const GRAM_DIGITS = { whole: 13, decimals: 4 }

export const int = () => column(DataTypes.INTEGER, Number)
export const text = <T extends string = string>(length = 255) => column<T>(DataTypes.STRING(length), value => String(value) as T)
/** Kept to the byte: what a hash covers must come back as it went in. */
export const longText = () => column(DataTypes.TEXT('medium'), String)
/** Whole numbers up to 2^53. */
export const bigint = () => column(DataTypes.BIGINT, Number)
export const uuid = () => column(DataTypes.UUID, String)
/** Exact in the database, a number here: DECIMAL arrives as a string. */
export const decimal = (whole: number, decimals: number) => column(DataTypes.DECIMAL(whole, decimals), Number)
export const grams = () => decimal(GRAM_DIGITS.whole, GRAM_DIGITS.decimals)
export const celsius = () => decimal(7, 3)
export const share = () => decimal(10, 8)
export const bool = () => column(DataTypes.BOOLEAN, Boolean)
/** Milliseconds since 1970, UTC; a DATETIME(3) in the database. */
export const instant = () => column(DataTypes.DATE(3), value => (value as Date).getTime())
/** A calendar date, "2026-03-08". */
export const day = () => column(DataTypes.DATEONLY, String)
export const json = <T>() => column<T>(DataTypes.JSON, value => (typeof value === 'string' ? JSON.parse(value) : value) as T)

export const nullable = <T>(of: Column<T>): Column<T | null> => ({
  options: { ...of.options, allowNull: true },
  read: value => (value === null || value === undefined ? null : of.read(value)),
})

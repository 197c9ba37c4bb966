import { atKey } from '#core/lists/at-key'
import { DataTypes, type Model, type ModelAttributeColumnOptions, type ModelStatic } from 'sequelize'
import { isCondition } from '../schema/where'

/**
 * The calls of Sequelize's query generator that its declarations leave out. They are used here and nowhere else;
 * `quoting.test.ts` says what they must quote, whichever version comes.
 */
interface Generator {
  quoteIdentifier: (name: string) => string
  whereItemsQuery: (where: object, options: { model: ModelStatic<Model> }) => string
  escape: (value: unknown, attribute: ModelAttributeColumnOptions, options: { context: string }) => string
}

const MS_DIGITS = '2026-11-26 12:00:00.007'.length
/** Milliseconds as DATETIME(3) holds them, in UTC. */
const instantText = (ms: number): string => `'${new Date(ms).toISOString().replace('T', ' ').slice(0, MS_DIGITS)}'`

const isInstant = (attribute: ModelAttributeColumnOptions | undefined): boolean =>
  /^DATETIME/.test(String((attribute?.type as { toSql?: () => string } | undefined)?.toSql?.() ?? ''))
const asInstant = (value: unknown): unknown =>
  Array.isArray(value) ? value.map(asInstant) : typeof value === 'number' ? new Date(value) : value

/** Values and names of one table's model as SQL text: each value by its column's type. */
export function quotingOf(model: ModelStatic<Model>) {
  const generator = (model.sequelize!.getQueryInterface() as unknown as { queryGenerator: Generator }).queryGenerator
  const attributes = Object.values(model.getAttributes())
  const byField = new Map(attributes.map(attribute => [attribute.field!, attribute]))
  const wholes = new Set(attributes.filter(({ type }) => type instanceof DataTypes.INTEGER).map(({ field }) => field!))
  const instants = new Set(attributes.filter(isInstant).map(({ field }) => field!))
  const name = (field: string): string => generator.quoteIdentifier(field)
  const names = new Map([...byField.keys()].map(field => [field, name(field)]))
  const isWhole = (field: string, value: unknown): value is number => wholes.has(field) && Number.isSafeInteger(value)
  const asked = (field: string, value: unknown): unknown => {
    const plain = isCondition(value) ? value.value : value
    const read = instants.has(field) ? asInstant(plain) : plain
    return isCondition(value) ? { [value.operator]: read } : read
  }
  /** Ids are most of what is asked by, and are their own text. */
  const whereOf = (field: string, value: unknown): string => {
    if (isWhole(field, value)) return `${names.get(field)} = ${value}`
    if (Array.isArray(value) && value.length > 0 && value.every(one => isWhole(field, one)))
      return `${names.get(field)} IN (${value.join(', ')})`
    return generator.whereItemsQuery({ [field]: asked(field, value) }, { model })
  }
  const valueOf = (field: string, value: unknown): string => {
    if (isWhole(field, value)) return String(value)
    if (instants.has(field) && typeof value === 'number') return instantText(value)
    return generator.escape(value, atKey(byField, field), { context: 'INSERT' })
  }
  return {
    name,
    /** What follows WHERE, from fields of the database; empty for none. Instants are milliseconds. */
    where: (filter: Readonly<Record<string, unknown>>): string =>
      Object.entries(filter).map(([field, value]) => whereOf(field, value)).join(' AND '),
    value: (value: unknown, attribute: ModelAttributeColumnOptions): string =>
      generator.escape(value, attribute, { context: 'UPDATE' }),
    /** `INSERT INTO … VALUES …`, rows by fields of the database; a field that a row leaves out is NULL, as for the others. */
    insert: (table: string, rows: readonly Readonly<Record<string, unknown>>[]): string => {
      const fields = [...new Set(rows.flatMap(row => Object.keys(row)))]
      const values = rows.map(row => `(${fields.map(field => valueOf(field, row[field] ?? null)).join(',')})`)
      return `INSERT INTO ${name(table)} (${fields.map(field => names.get(field)).join(',')}) VALUES ${values.join(',')}`
    },
  }
}

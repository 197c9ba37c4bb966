import type { Model, ModelAttributeColumnOptions, ModelStatic } from 'sequelize'
import { isCondition } from './where'

/**
 * The three calls of Sequelize's query generator that its declarations leave out. They are used here and nowhere else;
 * `quoting.test.ts` says what they must quote, whichever version comes.
 */
interface Generator {
  quoteIdentifier: (name: string) => string
  whereItemsQuery: (where: object, options: { model: ModelStatic<Model> }) => string
  escape: (value: unknown, attribute: ModelAttributeColumnOptions, options: { context: string }) => string
  bulkInsertQuery: (table: string, rows: object[], options: object, fields: object) => string
}

const isInstant = (attribute: ModelAttributeColumnOptions | undefined): boolean =>
  /^DATETIME/.test(String((attribute?.type as { toSql?: () => string } | undefined)?.toSql?.() ?? ''))
const asInstant = (value: unknown): unknown =>
  Array.isArray(value) ? value.map(asInstant) : typeof value === 'number' ? new Date(value) : value

/** Values and names of one table's model as SQL text: each value by its column's type. */
export function quotingOf(model: ModelStatic<Model>) {
  const generator = (model.sequelize!.getQueryInterface() as unknown as { queryGenerator: Generator }).queryGenerator
  const attributes = Object.values(model.getAttributes())
  const byField = new Map(attributes.map(attribute => [attribute.field!, attribute]))
  const asked = (field: string, value: unknown): unknown => {
    const plain = isCondition(value) ? value.value : value
    const read = isInstant(byField.get(field)) ? asInstant(plain) : plain
    return isCondition(value) ? { [value.operator]: read } : read
  }
  return {
    name: (name: string): string => generator.quoteIdentifier(name),
    /** What follows WHERE, from fields of the database; empty for none. Instants are milliseconds. */
    where: (filter: Readonly<Record<string, unknown>>): string =>
      generator.whereItemsQuery(
        Object.fromEntries(Object.entries(filter).map(([field, value]) => [field, asked(field, value)])),
        { model },
      ),
    value: (value: unknown, attribute: ModelAttributeColumnOptions): string =>
      generator.escape(value, attribute, { context: 'UPDATE' }),
    /** `INSERT INTO … VALUES …`, rows by fields of the database. */
    insert: (table: string, rows: object[]): string =>
      generator.bulkInsertQuery(table, rows, {}, Object.fromEntries(byField)).replace(/;$/, ''),
  }
}

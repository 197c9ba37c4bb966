import { Op } from 'sequelize'
import type { Filter, Order } from '../../../server/db/table/statements'
import { isCondition } from '../../../server/db/schema/where'
import type { Row } from './values'

/** Texts that the database takes for one: without case and accents, spaces at the end apart (utf8mb4_unicode_ci). */
export const keyOf = (value: unknown): unknown =>
  typeof value === 'string' ? value.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/ +$/, '') : value

const same = (a: unknown, b: unknown): boolean => keyOf(a) === keyOf(b)
const less = (a: unknown, b: unknown): boolean => (keyOf(a) as number) < (keyOf(b) as number)

function like(text: unknown, start: string): boolean {
  const pattern = [...start].map(sign => (sign === '%' ? '.*' : sign === '_' ? '.' : sign.replace(/\W/g, '\\$&')))
  return new RegExp(`^${pattern.join('')}`, 'isu').test(String(text))
}

function fits(value: unknown, asked: unknown): boolean {
  if (!isCondition(asked)) return Array.isArray(asked) ? asked.some(one => same(value, one)) : same(value, asked)
  if (asked.operator === Op.not) return value !== null
  if (value === null) return false
  switch (asked.operator) {
    case Op.gte:
      return !less(value, asked.value)
    case Op.lt:
      return less(value, asked.value)
    case Op.ne:
      return !same(value, asked.value)
    case Op.between: {
      const [from, to] = asked.value as [unknown, unknown]
      return !less(value, from) && !less(to, value)
    }
    case Op.startsWith:
      return like(value, String(asked.value))
    default:
      throw new Error(`the twin knows no ${String(asked.operator)}`)
  }
}

/** Whether a row is one that a filter asks for; a filter that makes no sense is refused, as the tables refuse it. */
export function matcher(table: string, columns: ReadonlySet<string>, filter: Filter): (row: Row) => boolean {
  if (Object.getOwnPropertySymbols(filter).length > 0) throw new Error(`${table}: a filter goes column by column`)
  for (const [key, value] of Object.entries(filter)) {
    if (!columns.has(key)) throw new Error(`${table} has no column ${key}`)
    if (value === undefined) throw new Error(`${table}: ${key} is undefined`)
  }
  const asked = Object.entries(filter)
  return row => asked.every(([key, value]) => fits(row[key] ?? null, value))
}

/** Rows in an order; what is empty comes first. */
export function inOrder(rows: readonly Row[], order: Order = [['id', 'ASC']]): Row[] {
  return rows.toSorted((a, b) => {
    for (const [key, direction] of order) {
      const [one, other] = [keyOf(a[key]), keyOf(b[key])]
      if (one === other) continue
      const before = one === null ? true : other === null ? false : less(one, other)
      return before === (direction === 'ASC') ? -1 : 1
    }
    return a.id - b.id
  })
}

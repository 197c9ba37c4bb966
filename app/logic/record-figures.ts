/** One figure of a record: where it stands, in words, and what it is, as it was stored. */
export interface Figure {
  where: string
  what: string
}

/** "weightTyped" is "weight typed". */
const spaced = (name: string): string => name.replace(/[A-Z]/g, letter => ` ${letter.toLowerCase()}`)

const told = (value: unknown): string =>
  value === null || value === '' ? '–' : typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value)

/** Numbers of rows that a record tells of: for the walk, no figure of the shop's. */
const ROWS_TOLD = 'tells'

/**
 * Everything in a record, however deep, one figure a line in its own order; lists are counted from 1. Nothing is
 * rounded.
 */
export function figuresOf(value: unknown, where: readonly string[] = []): Figure[] {
  if (typeof value !== 'object' || value === null) return [{ where: where.join(' '), what: told(value) }]
  const parts = Array.isArray(value)
    ? value.map((one, i) => [String(i + 1), one] as const)
    : Object.entries(value).filter(([name]) => where.length > 0 || name !== ROWS_TOLD).map(([name, one]) => [spaced(name), one] as const)
  if (parts.length === 0) return where.length ? [{ where: where.join(' '), what: 'none' }] : []
  return parts.flatMap(([name, one]) => figuresOf(one, [...where, name]))
}

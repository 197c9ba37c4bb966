/** Rows as the database's own texts: columns by name, everything a string, a number, bytes or null. */

const DAY_MS = 86_400_000
const INSTANT = /^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d(\.\d+)?$/
const DAY = /^\d{4}-\d\d-\d\d$/
const CODE = /\b([DMNLSPRB])-(\d{4,9})\b/g

/** A text that is an instant or a day, so many days later. */
export function later(value, days) {
  if (typeof value !== 'string') return value
  if (INSTANT.test(value))
    return new Date(Date.parse(`${value.replace(' ', 'T')}Z`) + days * DAY_MS)
      .toISOString()
      .replace('T', ' ')
      .replace('Z', '')
  return DAY.test(value) ? new Date(Date.parse(`${value}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10) : value
}

const codeOf = (letter, number) => `${letter}-${String(number).padStart(4, '0')}`

/**
 * Makes copies of a shop's rows: new ids, new codes, later or earlier dates; what one row says of another stays true.
 * `links` tells which column of a table names a row of which other; rows that no copy was made of keep their ids.
 */
export function copier(links) {
  const nextId = new Map()
  const nextCode = new Map()
  const take = (counters, key) => {
    const number = (counters.get(key) ?? 0) + 1
    counters.set(key, number)
    return number
  }
  /**
   * One copy of a set of rows, `{ table: rows }`, so many days on. Answers with the new rows, how codes read now, and
   * by table which id became which.
   */
  function copy(set, days) {
    const ids = new Map(
      Object.entries(set).map(([table, rows]) => [table, new Map(rows.map(row => [row.id, take(nextId, table)]))]),
    )
    const codes = new Map(
      Object.values(set)
        .flat()
        .filter(row => row.code)
        .map(row => [row.code, codeOf(row.code[0], take(nextCode, row.code[0]))]),
    )
    const recoded = text => text.replace(CODE, whole => codes.get(whole) ?? whole)
    const made = Object.fromEntries(
      Object.entries(set).map(([table, rows]) => [
        table,
        rows.map(row =>
          Object.fromEntries(
            Object.entries(row).map(([column, value]) => {
              if (column === 'id') return [column, ids.get(table).get(value)]
              const target = links.get(`${table}.${column}`)
              if (target && value !== null) return [column, ids.get(target)?.get(value) ?? value]
              if (column === 'code') return [column, codes.get(value)]
              if (column === 'voided') return [column, value === 0 ? 0 : ids.get(table).get(row.id)]
              return [column, later(value, days)]
            }),
          ),
        ),
      ]),
    )
    return { rows: made, recoded, ids }
  }
  return { copy, last: () => ({ ids: nextId, codes: nextCode }) }
}

/** The same numbers for the same seed, 0 to 1: shops that are to be compared must be alike. Source: splitmix32. */
export function chance(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x9e3779b9) >>> 0
    let mixed = state ^ (state >>> 16)
    mixed = Math.imul(mixed, 0x21f0aaad)
    mixed ^= mixed >>> 15
    mixed = Math.imul(mixed, 0x735a2d97)
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32
  }
}

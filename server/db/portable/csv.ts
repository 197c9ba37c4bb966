import Papa from 'papaparse'
import type { Sequelize } from 'sequelize'
import { PORTABLE_TABLES } from './portable-tables'
import { readRows } from './read-rows'

/** What a spreadsheet runs, full-width signs too. */
const FORMULA = /^[=+@\t\r\uff1d\uff0b\uff20]|^[-\uff0d](?![\d.]+$)/
/** A program of another country splits at semicolons: what follows one must not run either. */
const plainCell = (value: unknown): unknown =>
  typeof value === 'string' ? value.replace(/([;\n]\s*)(?=[=+@\uff1d\uff0b\uff20]|[-\uff0d](?![\d.]))/g, '$1\'') : value

/** Columns that are never in a table handed on: what opens a door, and whole files. */
const KEPT_BACK = new Set(['password_hash', 'pin_hash', 'totp_secret', 'recovery_hashes', 'content', 'touched'])

export const CSV_TABLES: readonly string[] = PORTABLE_TABLES.map(table => table.name)

/** A table as CSV (RFC 4180), a line a row. Text that a spreadsheet would take for a formula is made plain. */
export async function* csvOf(sequelize: Sequelize, name: string): AsyncGenerator<string> {
  const table = PORTABLE_TABLES.find(one => one.name === name)
  if (!table) throw new Error(`no table ${name}`)
  const names = [...table.columns.keys()].filter(column => !KEPT_BACK.has(column))
  // Quoted, so that no program splits a cell at its own sign; made plain behind such a sign too, for one that splits
  // all the same.
  const line = (rows: unknown[][]) =>
    `${Papa.unparse(
      rows.map(row => row.map(plainCell)),
      { escapeFormulae: FORMULA, quotes: row => typeof row === 'string' },
    )}\r\n`
  yield line([names])
  for await (const rows of readRows(sequelize, table, names)) {
    yield line(
      rows.map(row =>
        names.map(column =>
          typeof row[column] === 'object' && row[column] !== null ? JSON.stringify(row[column]) : row[column],
        ),
      ),
    )
  }
}

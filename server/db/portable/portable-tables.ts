import { z } from 'zod'
import { int, type Column } from '../schema/column'
import { SPECS } from '../database'
import { snake, type Columns, type TableSpec } from '../schema/table-spec'

/** A table as the shop's export has it: every column under its name in the database. */
export interface PortableTable {
  name: string
  columns: Map<string, Column<unknown>>
  row: z.ZodType<Record<string, unknown>>
}

/** What belongs to a running server and not to the shop: sign-ins, tries, answers to repeated requests, what is worked out anew. */
const NOT_THE_SHOP = new Set(['sessions', 'signInAttempts', 'answers', 'knownDevices', 'calendarLinks', 'heatJudgements'])

function portable(spec: TableSpec<Columns>): PortableTable {
  const columns = new Map<string, Column<unknown>>([
    ['id', int()],
    ...Object.entries(spec.columns).map(([key, column]) => [snake(key), column] as const),
  ])
  if (spec.voidable) columns.set('voided', int())
  // A column that may be empty may be left out: exports from before it was there are read for ever.
  const shape = Object.fromEntries(
    [...columns].map(([name, { portable: { schema }, options }]) => [name, options.allowNull ? schema.optional() : schema]),
  )
  return { name: spec.name, columns, row: z.strictObject(shape) as unknown as z.ZodType<Record<string, unknown>> }
}

export const PORTABLE_TABLES: readonly PortableTable[] = Object.entries(SPECS)
  .filter(([key]) => !NOT_THE_SHOP.has(key))
  .map(([, spec]) => portable(spec as unknown as TableSpec<Columns>))
  .toSorted((a, b) => (a.name < b.name ? -1 : 1))

export const EXPORT_FORMAT = 'veldmoor-shop'
export const EXPORT_VERSION = 6
/**
 * Read for ever: the first had no digests of rows, the second no steps, the third fridges in place of places; the fourth
 * did not count contradictions, the fifth did not say from when on places are to be read.
 */
const READ_VERSIONS = [1, 2, 3, 4, 5, EXPORT_VERSION] as const
export const SINCE_PLACES = 4
const SINCE_2 = ['event_rows']

const BY_NAME = new Map(PORTABLE_TABLES.map(table => [table.name, table]))
const FORMER = new Map(
  Object.values(SPECS).flatMap((spec) => {
    const { was, name } = spec as unknown as TableSpec<Columns>
    return was ? [[was.name, { name, columns: was.columns }] as const] : []
  }),
)
/** What a place has that a fridge had not. */
const OF_A_FRIDGE = { kind: 'fridge', in_use: true }

/** A table of an export, and its row by the names of today; null where there is no such table. */
export function tableOf(name: string, row: unknown): { table: PortableTable; row: unknown } | null {
  const former = FORMER.get(name)
  const table = BY_NAME.get(former?.name ?? name)
  if (!table) return null
  if (!former || typeof row !== 'object' || row === null) return { table, row }
  const renamed = Object.fromEntries(Object.entries(row).map(([key, value]) => [former.columns[key] ?? key, value]))
  return { table, row: former.name === 'places' ? { ...OF_A_FRIDGE, ...renamed } : renamed }
}

/** What stands before the tables. */
export const headContract = z.strictObject({
  format: z.literal(EXPORT_FORMAT),
  version: z.literal(READ_VERSIONS),
  exportedAt: z.iso.datetime({ precision: 3 }),
  /** The last record of the book and its hash, as an import must find them. */
  book: z.strictObject({ records: z.int(), hash: z.string().regex(/^[0-9a-f]{64}$/) }),
})

/** True for a table without a row that an export always has rows of, or that is not there though its version has it. */
export const isMissing = (table: PortableTable, seen: ReadonlySet<string>, version: number): boolean =>
  ALWAYS_FILLED.includes(table.name) && !seen.has(table.name) && !(version === 1 && SINCE_2.includes(table.name))
/** A shop has these from its first minute. */
const ALWAYS_FILLED = ['shops', 'users', 'events', 'book_head', 'code_counters', 'event_rows']

/** The whole export. What `docs/shop-export.schema.json` publishes; an import reads its rows one by one. */
export const exportContract = headContract.extend({
  version: z.literal(EXPORT_VERSION),
  tables: z.strictObject(Object.fromEntries(PORTABLE_TABLES.map(table => [table.name, z.array(table.row)]))),
})

/** The export as a JSON Schema, draft 2020-12. */
export const exportSchema = (): object => ({
  ...z.toJSONSchema(exportContract, { io: 'input' }),
  title: 'A whole shop, exported',
  description:
    'Names are those of the database. Masses in grams and temperatures in °C as decimal strings, exact; '
    + 'instants in UTC with milliseconds; files in base64. '
    + '`typed`, `computed` and `subjects` of events are the texts that their hashes cover.',
})

import { readCode, type CodedKind } from '#core/trace/code'
import type { Tables } from '../db/database'

/** Tables of rows that others wait for, in the one order in which they are locked (`server/db/table/lock-order.ts`). */
const LOCKED = ['places', 'meatLots', 'lots', 'ingredientLots', 'packs'] as const
type Locked = (typeof LOCKED)[number]
/** Ids of the rows that a write goes by. */
export type ToLock = Partial<Record<Locked, readonly number[]>>

/**
 * Locks rows until the transaction ends, voided ones too, in the one order. Ids that are no row's are passed over. What
 * a write goes by is read after this, or read again: others may have written it before they let go.
 */
export async function lockRows(tables: Tables, wanted: ToLock): Promise<void> {
  for (const name of LOCKED) {
    const id = [...new Set(wanted[name] ?? [])]
    if (id.length === 0) continue
    const table = tables[name] as Tables['lots']
    await table.pick([], { id }, { order: [['id', 'ASC']], lock: true, withVoided: true })
  }
}

/**
 * Locks the shop's own row, and answers with it. Where only one thing may have a name, those who give one wait here for
 * each other: a name that nobody has yet cannot be locked.
 */
export async function lockShop(tables: Tables) {
  const shop = await tables.shops.one({}, { lock: true })
  if (!shop) throw new Error('no shop yet')
  return shop
}

const TABLE_OF: Partial<Record<CodedKind, Locked>> = {
  place: 'places',
  meat: 'meatLots',
  lot: 'lots',
  ingredient: 'ingredientLots',
  pack: 'packs',
}

/** The rows that codes name, of those that are locked at all. */
export async function rowsOfCodes(tables: Tables, codes: readonly string[]): Promise<ToLock> {
  const found: ToLock = {}
  for (const name of LOCKED) {
    const code = codes.filter(one => TABLE_OF[readCode(one)?.kind ?? 'run'] === name)
    if (code.length > 0)
      found[name] = (await (tables[name] as Tables['lots']).pick([], { code }, { withVoided: true })).map(row => row.id)
  }
  return found
}

/** Both. */
export const withRows = (a: ToLock, b: ToLock): ToLock =>
  Object.fromEntries(LOCKED.map(name => [name, [...(a[name] ?? []), ...(b[name] ?? [])]]))

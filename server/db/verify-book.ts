import type { Sequelize, Transaction } from 'sequelize'
import { createHash } from 'node:crypto'
import { CHAIN_START, checkEnd, walkChain, type ChainBreak, type ChainPlace, type HashedRow } from '#core/book/walk-chain'
import { readBookRows, readIndexRows } from './book-reader'
import { openTables } from './store'

const BATCH = 4000

export interface BookCheck {
  /** Records walked over; all of them when nothing is broken. */
  records: number
  /** The last good record and its hash. */
  end: ChainPlace
  /** The first broken record, or null. */
  broken: ChainBreak | null
  ms: number
}

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex')
const sorted = (codes: readonly string[]) => codes.toSorted().join(' ')

/** The first record whose codes in the index are not those that its hash covers. */
async function checkIndex(sequelize: Sequelize, rows: readonly HashedRow[], transaction?: Transaction): Promise<ChainBreak | null> {
  const index = await readIndexRows(sequelize, rows[0]!.id, rows.at(-1)!.id, transaction)
  const differs = rows.find(row => sorted(JSON.parse(row.subjects) as string[]) !== sorted(index.get(row.id) ?? []))
  return differs ? { id: differs.id, why: 'subjects_differ' } : null
}

/** Walks the whole chain in the database, its index and its head, while the shop goes on writing; or inside one transaction. */
export async function verifyBook(sequelize: Sequelize, transaction?: Transaction): Promise<BookCheck> {
  const startedMs = performance.now()
  const tables = openTables(sequelize, transaction)
  let at = CHAIN_START
  const outcome = (broken: ChainBreak | null): BookCheck => ({ records: at.id, end: at, broken, ms: Math.round(performance.now() - startedMs) })
  // The head as it was before the walk: what is written meanwhile is for the next check.
  const head = await tables.bookHead.one({ id: 1 })
  if (!head) return outcome({ id: 1, why: 'end_differs' })
  for (;;) {
    const rows = (await readBookRows(sequelize, at.id, BATCH, transaction)).filter(row => row.id <= head.lastId)
    if (rows.length === 0) return outcome(checkEnd(at, { id: head.lastId, hash: head.hash }))
    const walked = walkChain(at, rows, sha256)
    at = walked.at
    if (walked.broken) return outcome(walked.broken)
    const index = await checkIndex(sequelize, rows, transaction)
    if (index) return outcome(index)
  }
}

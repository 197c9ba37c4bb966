import type { Sequelize, Transaction } from 'sequelize'
import { CHAIN_START, checkEnd, walkChain, type ChainBreak, type ChainPlace } from '#core/book/walk-chain'
import { readBook, type BookReading } from './book-reader'
import { sha256 } from '../digest/sha256'
import { openTables } from './store'

const STRETCH = 8000

export interface BookCheck {
  /** Records walked over; all of them when nothing is broken. */
  records: number
  /** The last good record and its hash. */
  end: ChainPlace
  /** The first broken record, or null. */
  broken: ChainBreak | null
  ms: number
}

const codesOf = (row: BookReading) => (JSON.parse(row.subjects) as string[]).toSorted().map(code => JSON.stringify(code)).join(',')

/** The book in stretches, up to a record. While one is walked the database already reads the next: it works on another core. */
async function* stretches(sequelize: Sequelize, lastId: number, transaction?: Transaction) {
  let reading = readBook(sequelize, 0, STRETCH, transaction)
  try {
    for (;;) {
      const stretch = (await reading).filter(row => row.id <= lastId)
      if (stretch.length === 0) return
      reading = readBook(sequelize, stretch.at(-1)!.id, STRETCH, transaction)
      yield stretch
    }
  }
  finally {
    // A walk that ends early leaves no question unanswered behind.
    await Promise.allSettled([reading])
  }
}

/** The first record whose codes in the index are not those that its hash covers. */
function checkIndex(stretch: readonly BookReading[]): ChainBreak | null {
  const differs = stretch.find(row => codesOf(row) !== row.indexed)
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
  for await (const stretch of stretches(sequelize, head.lastId, transaction)) {
    const walked = walkChain(at, stretch, sha256)
    at = walked.at
    const broken = walked.broken ?? checkIndex(stretch)
    if (broken) return outcome(broken)
  }
  return outcome(checkEnd(at, { id: head.lastId, hash: head.hash }))
}

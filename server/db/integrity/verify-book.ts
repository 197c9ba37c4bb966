import type { Milliseconds } from '#core/units/quantities'
import { QueryTypes, Transaction, type Sequelize } from 'sequelize'
import type { Finding } from '#core/book/findings'
import { CHAIN_START, checkEnd, walkChain, type ChainPlace } from '#core/book/walk-chain'
import { indexFits, readBook, type BookReading } from '../readers/book-reader'
import { idStretches } from '../line/id-stretches'
import { sha256 } from '../../digest/sha256'
import { LastDigests } from './last-digests'
import { openTables } from '../database'
import { columnsThere, verifyFiles, verifyRows } from './verify-rows'
import { verifyTells } from './verify-tells'
import { verifyState } from './verify-state'

/** Read at a time: a record may hold thousands of readings, or seal thousands of rows. */
const STRETCH = {
  weigh: ['typed', 'computed'],
  alongside: '(SELECT LENGTH(touched) FROM event_rows WHERE event_id = events.id)',
  mostRows: 8000,
  mostBytes: 8_000_000,
}
/** Findings that are kept; all are counted. */
const MOST_KEPT = 500

export interface BookCheck {
  /** Records there are. */
  records: number
  /** Rows of the shop held against the digests in the book; 0 for a book from before there were any. */
  rows: number
  /** The last record that the head names, and its hash as it is stored. */
  end: ChainPlace
  /** The first thing that is not as it was, or null; and all of them, the first 500 told. */
  broken: Finding | null
  findings: Finding[]
  found: number
  /** Codes of lots whose steps contradict each other, the first 500. The book may be whole all the same. */
  contradicting: string[]
  ms: Milliseconds
}

export interface WalkOptions {
  transaction?: Transaction
  /** A record's number and hash as somebody noted them. */
  seal?: ChainPlace | null
  /** An export from before there were places is being read in: tables had other names, where pieces stand comes later. */
  fromBefore?: boolean
}

/**
 * The book in stretches, every row of the table. While one is walked the database already reads the next: it works on
 * another core.
 */
async function* stretches(sequelize: Sequelize, transaction: Transaction) {
  let reading: Promise<BookReading[]> | null = null
  for await (const [first, last] of idStretches(sequelize, 'events', { ...STRETCH, transaction })) {
    const next = readBook(sequelize, first, last, { within: transaction })
    // Awaited below, or when the walk ends early: no question is left unanswered behind.
    next.catch(() => {})
    if (reading) yield await reading
    reading = next
  }
  if (reading) yield await reading
}

async function walk(
  sequelize: Sequelize,
  transaction: Transaction,
  seal: ChainPlace | null,
  last: LastDigests,
  fromBefore: boolean,
): Promise<Omit<BookCheck, 'ms'>> {
  const found: Finding[] = []
  let count = 0
  const tell = (finding: Finding) => {
    if (count++ < MOST_KEPT) found.push(finding)
  }
  const select = { type: QueryTypes.SELECT, transaction } as const
  const head = await openTables(sequelize, transaction).bookHead.one({ id: 1 })
  let at = CHAIN_START
  let sealHash: string | null = null
  let records = 0
  const there = await columnsThere(sequelize, transaction)
  for await (const stretch of stretches(sequelize, transaction)) {
    records += stretch.length
    const inside = stretch.filter(row => row.id >= 1 && row.id <= (head?.lastId ?? 0))
    if (inside.length < stretch.length)
      for (const { id } of stretch) if (id < 1 || id > (head?.lastId ?? 0)) tell({ id, why: 'out_of_book' })
    const walked = walkChain(at, inside, sha256)
    at = walked.at
    walked.breaks.forEach(tell)
    for (const row of inside) {
      if (!indexFits(row)) tell({ id: row.id, why: 'subjects_differ' })
      if (row.touched !== null) last.take(row.id, row.touched)
      if (row.id === seal?.id) sealHash = row.hash
    }
    if (there.has('steps') && !fromBefore)
      for await (const finding of verifyTells(sequelize, inside, transaction)) tell(finding)
  }
  const end = checkEnd(at, head ? { id: head.lastId, hash: head.hash } : CHAIN_START)
  if (end || !head) tell(end ?? { id: 1, why: 'end_differs' })
  if (seal && sealHash !== seal.hash) tell({ id: seal.id, why: 'seal_differs' })
  const strays = await sequelize.query<{ id: number }>(
    'SELECT DISTINCT event_id AS id FROM event_subjects LEFT JOIN events ON events.id = event_id WHERE events.id IS NULL',
    select,
  )
  for (const { id } of strays) tell({ id, why: 'subject_without_record' })
  let rows = 0
  if (!last.isEmpty)
    for await (const finding of verifyRows(
      sequelize,
      { last, there, byFormer: fromBefore },
      (n) => {
        rows += n
      },
      transaction,
    ))
      tell(finding)
  for await (const finding of verifyFiles(sequelize, transaction)) tell(finding)
  // A walk goes before a change of the schema too.
  const contradicting: string[] = []
  const contradicts = (code: string) => {
    if (contradicting.length < MOST_KEPT) contradicting.push(code)
  }
  if (there.get('lots')?.has('contradictions') && !fromBefore)
    for await (const finding of verifyState(sequelize, transaction, contradicts)) tell(finding)
  return {
    records,
    rows,
    end: { id: at.id, hash: at.hash },
    broken: found[0] ?? null,
    findings: found,
    found: count,
    contradicting,
  }
}

/**
 * Walks the whole book as it stands at one moment, while the shop goes on writing, or inside a transaction: the chain,
 * its index and its head, then every row of the shop against the last digest that the book has of it, and where pieces
 * stand against their steps. Nothing ends the walk early.
 */
export async function verifyBook(
  sequelize: Sequelize,
  { transaction, seal = null, fromBefore = false }: WalkOptions = {},
): Promise<BookCheck> {
  const startedMs = performance.now()
  const last = new LastDigests()
  const isolationLevel = Transaction.ISOLATION_LEVELS.REPEATABLE_READ
  try {
    const check = transaction
      ? await walk(sequelize, transaction, seal, last, fromBefore)
      : await sequelize.transaction({ isolationLevel }, snapshot => walk(sequelize, snapshot, seal, last, fromBefore))
    return { ...check, ms: Math.round(performance.now() - startedMs) }
  }
  finally {
    last.close()
  }
}

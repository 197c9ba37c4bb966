import { chainText, FIRST_HASH, type BookRow } from './chain-text'

export interface HashedRow extends BookRow { hash: string }
/** Where the walk stands: the last good record and its hash. */
export interface ChainPlace { id: number, hash: string }
export const CHAIN_START: ChainPlace = { id: 0, hash: FIRST_HASH }

/** `changed`: the record does not fit its hash. `missing`: records before it are gone. `end_differs`: the head names another last record. */
export const BREAK_KINDS = ['changed', 'missing', 'end_differs', 'subjects_differ'] as const
export type BreakKind = (typeof BREAK_KINDS)[number]
export interface ChainBreak { id: number, why: BreakKind }

export type Walked = { broken: null, at: ChainPlace } | { broken: ChainBreak, at: ChainPlace }

/**
 * Walks on along the chain over rows in order of id, from a place already walked to. Stops at the first record that
 * breaks it. `sha256` gives lower-case hex.
 */
export function walkChain(from: ChainPlace, rows: readonly HashedRow[], sha256: (text: string) => string): Walked {
  let at = from
  for (const row of rows) {
    if (row.id !== at.id + 1) return { broken: { id: at.id + 1, why: 'missing' }, at }
    if (sha256(chainText(at.hash, row)) !== row.hash) return { broken: { id: row.id, why: 'changed' }, at }
    at = { id: row.id, hash: row.hash }
  }
  return { broken: null, at }
}

/** The end of the walk against the head that was kept apart: records cut off the end show here. */
export const checkEnd = (at: ChainPlace, head: ChainPlace): ChainBreak | null =>
  at.id === head.id && at.hash === head.hash ? null : { id: Math.min(at.id, head.id) + 1, why: 'end_differs' }

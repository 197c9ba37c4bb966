import { chainText, FIRST_HASH, type BookRow } from './chain-text'

export interface HashedRow extends BookRow {
  hash: string
}
/**
 * Where the walk stands: the last record and its hash; `soundHash` is that of the last one that fitted, when this one
 * did not.
 */
export interface ChainPlace {
  id: number
  hash: string
  soundHash?: string
}
export const CHAIN_START: ChainPlace = { id: 0, hash: FIRST_HASH }

/**
 * `changed`: the record does not fit its hash. `missing`: records up to `toId` are gone. `end_differs`: the head names
 * another last record. `out_of_book`: a record numbered before the first or past the head. `subject_without_record`:
 * the index knows it, the book does not.
 */
export const CHAIN_BREAKS = [
  'changed',
  'missing',
  'end_differs',
  'subjects_differ',
  'out_of_book',
  'subject_without_record',
] as const
export interface ChainBreak {
  id: number
  why: (typeof CHAIN_BREAKS)[number]
  toId?: number
}

/**
 * Walks on along the chain over rows in order of id, from a place already walked to, and tells every break. After one
 * it goes on from the hash that is stored, so that nothing hides behind it; a record that was slipped in breaks alone,
 * because the next is held against the last sound one too. What follows a gap cannot be held against what is gone.
 * `sha256` gives lower-case hex.
 */
export function walkChain(
  from: ChainPlace,
  rows: readonly HashedRow[],
  sha256: (text: string) => string,
): { at: ChainPlace; breaks: ChainBreak[] } {
  const breaks: ChainBreak[] = []
  let at = from
  for (const row of rows) {
    const gap = row.id !== at.id + 1
    if (gap) breaks.push({ id: at.id + 1, toId: row.id - 1, why: 'missing' })
    const fits
      = gap
        || sha256(chainText(at.hash, row)) === row.hash
        || (at.soundHash !== undefined && sha256(chainText(at.soundHash, row)) === row.hash)
    if (!fits) breaks.push({ id: row.id, why: 'changed' })
    at = fits ? { id: row.id, hash: row.hash } : { id: row.id, hash: row.hash, soundHash: at.soundHash ?? at.hash }
  }
  return { at, breaks }
}

/** The end of the walk against the head that was kept apart: records cut off the end show here. */
export const checkEnd = (at: ChainPlace, head: ChainPlace): ChainBreak | null =>
  at.id === head.id && at.hash === head.hash ? null : { id: Math.min(at.id, head.id) + 1, why: 'end_differs' }

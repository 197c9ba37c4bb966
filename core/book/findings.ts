import type { CHAIN_BREAKS } from './walk-chain'

/**
 * What a walk can find beside breaks of the chain. `row_differs`: a row is not what its last record sealed. `row_gone`:
 * it is no longer there. `row_without_record`: no record wrote it. `file_differs`: a file's bytes are not those of its
 * hash. `state_differs`: where it stands is not what its steps come to. `told_differs`: it names a record that told of
 * others, or not the one that told of it. `seal_differs`: the record's hash is not the one that was noted.
 */
export const ROW_FINDINGS = ['row_differs', 'row_gone', 'row_without_record', 'file_differs', 'state_differs', 'told_differs'] as const
export const FINDINGS = [...ROW_FINDINGS, 'seal_differs'] as const

export type FindingKind = (typeof CHAIN_BREAKS)[number] | (typeof FINDINGS)[number]

export interface RowFinding {
  id: number | null
  why: (typeof ROW_FINDINGS)[number]
  table: string
  row: number
}

/** Something that is not as the book says. `id` is the record it shows at, null where no record speaks of it. */
export interface Finding {
  id: number | null
  why: FindingKind
  toId?: number
  table?: string
  row?: number
}

/** A record's number and hash, as noted on paper: "334:f94b…". Null when it is none. */
export function readSeal(text: string): { id: number; hash: string } | null {
  const [, id, hash] = /^\s*(\d{1,10})\s*[:,]\s*([0-9a-f]{64})\s*$/i.exec(text) ?? []
  return id && hash ? { id: Number(id), hash: hash.toLowerCase() } : null
}

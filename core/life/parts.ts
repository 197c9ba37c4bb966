/** A piece, and the one it was cut from after the rub; null: it was rubbed itself. */
export interface Born {
  id: number
  parentId: number | null
}

/** The pieces of a lot, as they were rubbed and as they were cut up since. */
export interface PieceTree {
  /** Ids of what was not cut up: all that is or was a piece to the end, in the order given. */
  leaves: number[]
  /** Ids with each piece that was cut up replaced by what it was cut into, to the last. */
  asLeaves: (ids: readonly number[]) => number[]
  /** Ids, and all that they were cut from. */
  withAncestors: (ids: readonly number[]) => number[]
  /** The piece as it was rubbed. */
  rootOf: (id: number) => number
}

/** What was cut from what, of the pieces of one lot. Ids that it does not know stand for themselves. */
export function pieceTree(pieces: readonly Born[]): PieceTree {
  const parts = new Map<number, number[]>()
  const parentOf = new Map<number, number>()
  for (const { id, parentId } of pieces) {
    if (parentId === null) continue
    parentOf.set(id, parentId)
    parts.set(parentId, [...(parts.get(parentId) ?? []), id])
  }
  const ids = pieces.map(piece => piece.id)
  // Most lots are never cut up.
  if (parts.size === 0) {
    const same = (some: readonly number[]) => [...some]
    return { leaves: ids, asLeaves: same, withAncestors: same, rootOf: id => id }
  }
  const leavesOf = (id: number): number[] => parts.get(id)?.flatMap(leavesOf) ?? [id]
  const lineOf = (id: number): number[] => {
    const parent = parentOf.get(id)
    return parent === undefined ? [id] : [id, ...lineOf(parent)]
  }
  return {
    leaves: ids.filter(id => !parts.has(id)),
    asLeaves: some => [...new Set(some.flatMap(leavesOf))],
    withAncestors: some => [...new Set(some.flatMap(lineOf))],
    rootOf: id => lineOf(id).at(-1)!,
  }
}

const LETTERS = 26
/**
 * Letters for so many new parts of the pieces with one number: the next that none of them ever had, "a" first, "aa" after
 * "z". `taken` are all that were given, of parts that were cut up further too.
 */
export function nextParts(taken: readonly string[], count: number): string[] {
  const last = Math.max(-1, ...taken.map(rankOf))
  return Array.from({ length: count }, (_, i) => partAt(last + 1 + i))
}
const partAt = (rank: number): string =>
  (rank >= LETTERS ? partAt(Math.floor(rank / LETTERS) - 1) : '') + String.fromCharCode('a'.charCodeAt(0) + (rank % LETTERS))
const rankOf = (part: string): number =>
  [...part].reduce((rank, letter) => (rank + 1) * LETTERS + letter.charCodeAt(0) - 'a'.charCodeAt(0), -1)

/** What a record calls a piece: a rubbed one by its number, what was cut from it by number and part. */
export const pieceName = (piece: { number: number; part: string | null }): number | string =>
  piece.part === null ? piece.number : pieceLabel(piece)

/** A piece by its number and part, as its lot's pages say it: "3", "3a". */
export const pieceLabel = ({ number, part }: { number: number; part: string | null }): string => `${number}${part ?? ''}`

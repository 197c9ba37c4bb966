import { sumOf } from '../lists/sum-of'
import type { Grams } from '../units/quantities'
import { pieceLabel, pieceTree } from './parts'

/** A piece as it weighed green; `readings`: of the scale that its weight rests on. `parentId`: what it was cut from. */
interface PieceRow {
  id: number
  number: number
  part: string | null
  greenG: Grams
  readings: number
  parentId: number | null
}
export type LeafPiece = Pick<PieceRow, 'id' | 'number' | 'greenG' | 'readings'>

/**
 * The least that figures add up over: pieces that were not cut up, and what came off those that were. Together they
 * weigh green what was rubbed.
 */
export interface LeafPieces {
  all: LeafPiece[]
  /** Ids of the leaves of some pieces. */
  of: (ids: readonly number[]) => number[]
  /** True when it was cut from another piece. */
  isPart: (id: number) => boolean
  /** True when it is a piece, and not what came off one. */
  isPiece: (id: number) => boolean
  /** The rubbed piece that a leaf was a part of. */
  rootOf: (id: number) => number
  /** "3a" of what was cut from another; undefined for the rubbed. */
  labelOf: (id: number) => string | undefined
}

/** What came off a piece stands under its negative id: no piece has one. */
export function leafPiecesOf(rows: readonly PieceRow[]): LeafPieces {
  const tree = pieceTree(rows)
  const leaves = new Set(tree.leaves)
  const offOf = (id: number): number[] => {
    const inside = rows.filter(row => row.parentId !== null && tree.withAncestors([row.id]).includes(id))
    return [id, ...inside.map(row => row.id)].filter(one => !leaves.has(one)).map(one => -one)
  }
  const offcuts = rows
    .filter(row => !leaves.has(row.id))
    .map(row => ({ ...row, id: -row.id, greenG: row.greenG - sumOf(rows.filter(one => one.parentId === row.id), one => one.greenG) }))
  const isWhole = offcuts.length === 0
  return {
    all: [...rows.filter(row => leaves.has(row.id)), ...offcuts],
    of: ids => (isWhole ? [...ids] : [...tree.asLeaves(ids), ...new Set(ids.flatMap(offOf))]),
    isPart: id => !isWhole && tree.rootOf(id) !== id,
    isPiece: id => id > 0,
    rootOf: id => tree.rootOf(Math.abs(id)),
    labelOf: (id) => {
      const row = rows.find(one => one.id === Math.abs(id))
      return row?.part ? pieceLabel(row) : undefined
    },
  }
}

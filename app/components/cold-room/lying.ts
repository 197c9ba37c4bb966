import { groupBy } from '#core/lists/group-by'
import { lyingIn } from '#core/places/daily'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import { slicedOf } from '~/logic/which-pieces'

export interface LyingLotRow {
  lot: LotSummary
  pieces: LotPiece[]
}
/** What lies in a place: in the cure, and out of it. */
export interface LyingGroup {
  curing: LyingLotRow[]
  others: LyingLotRow[]
}

interface Here extends LyingLotRow {
  stage: LotPiece['stage']
}
/** Answers by lot: a lot that did not change gives the same one, and what shows it is not drawn again. */
const found = new WeakMap<LotSummary, Map<number, Here[]>>()

function hereOf(placeId: number, lot: LotSummary): Here[] {
  const ofLot = found.get(lot) ?? new Map<number, Here[]>()
  found.set(lot, ofLot)
  const before = ofLot.get(placeId)
  if (before) return before
  // What was sliced from lies on the table or in packs.
  const sliced = slicedOf(lot)
  const here = lyingIn(placeId, lot.pieces).filter(piece => !sliced(piece.id))
  const now = [...groupBy(here, piece => piece.stage).entries()].map(([stage, pieces]) => ({
    lot,
    stage,
    pieces,
  }))
  ofLot.set(placeId, now)
  return now
}

/** What of some lots lies in a place, lot by lot and stage by stage. What is sliced to the end lies in packs. */
export function lyingOf(placeId: number, lots: readonly LotSummary[]): LyingGroup {
  const here = lots.flatMap(lot => hereOf(placeId, lot))
  return {
    curing: here.filter(one => one.stage === 'cure'),
    others: here.filter(one => one.stage !== 'cure'),
  }
}

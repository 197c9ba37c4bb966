import { groupBy } from '#core/lists/group-by'
import { lyingIn } from '#core/places/daily'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'

export interface LyingLot {
  lot: LotSummary
  pieces: LotPiece[]
}
/** What lies in a place: in the cure, and out of it. */
export interface Lying {
  curing: LyingLot[]
  others: LyingLot[]
}

/** What of some lots lies in a place, lot by lot and stage by stage. What is sliced to the end lies in packs. */
export function lyingOf(placeId: number, lots: readonly LotSummary[]): Lying {
  const here = lots.flatMap(lot =>
    [...groupBy(lyingIn(placeId, lot.pieces), piece => piece.stage).entries()].map(([stage, pieces]) => ({
      lot,
      stage,
      pieces,
    })),
  )
  return {
    curing: here.filter(one => one.stage === 'cure'),
    others: here.filter(one => one.stage !== 'cure' && one.lot.packs === 0),
  }
}

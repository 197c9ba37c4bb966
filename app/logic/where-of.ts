import { wordList } from '#core/lists/word-list'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'

/** Where pieces of a lot lie, by name; empty for what is in a heat. `pieces`: ids; null: all of the lot. */
export function whereOf(
  lot: Pick<LotSummary, 'pieces'>,
  pieces: readonly number[] | null | undefined,
  places: readonly PlaceView[],
): string {
  const ids = new Set(lot.pieces.flatMap(piece => (!pieces || pieces.includes(piece.id) ? (piece.placeId ?? []) : [])))
  return wordList(places.flatMap(place => (ids.has(place.id) ? place.name : [])))
}

/** What some pieces of a lot are called, by id; empty for all of it. */
export const numbersOf = (lot: Pick<LotSummary, 'pieces'>, pieces: readonly number[] | null | undefined): string[] =>
  pieces ? lot.pieces.filter(piece => pieces.includes(piece.id)).map(piece => piece.label) : []

import type { Stage } from '../life/kinds/stage'
import { isBench, isColdPlace, takesMeat, type PlaceKind, type PlaceUse } from './place-kind'

/** A piece as a place asks for it. */
export interface Lying {
  placeId: number | null
  stage: Stage | null
}

/** Pieces that lie or hang in a place; what is heated there is the heat's. */
export const lyingIn = <P extends Lying>(placeId: number, pieces: readonly P[]): P[] =>
  pieces.filter(piece => piece.placeId === placeId && piece.stage !== 'heat')

const ALWAYS: readonly PlaceKind[] = ['fridge', 'cold_room']

/** Whether a place is to be read twice a day: fridge and cold room always, others while something lies in them. */
export const isReadDaily = (
  place: { kind: PlaceKind; can: readonly PlaceUse[] | null },
  occupied: boolean,
): boolean => (ALWAYS.includes(place.kind) && isColdPlace(place)) || (occupied && takesMeat(place) && !isBench(place))

/** Anything meat lies, hangs or is heated in. */
export const PLACE_KINDS = [
  'fridge',
  'cold_room',
  'garage',
  'drying_room',
  'smoker',
  'oven',
  'water_bath',
  'freezer',
  'counter',
  'table',
] as const
export type PlaceKind = (typeof PLACE_KINDS)[number]

/** What is done in a place: meat lies cold, hangs to dry for weeks, is heated, is frozen, lies out while it is worked on. */
export const PLACE_USES = ['cold', 'hang', 'heat', 'freeze', 'bench'] as const
export type PlaceUse = (typeof PLACE_USES)[number]

/** What each kind is used for where the shop says nothing else; a smoker without fire is a hanging place too. */
export const USUAL_USES: Readonly<Record<PlaceKind, readonly PlaceUse[]>> = {
  fridge: ['cold'],
  cold_room: ['cold', 'hang'],
  garage: ['cold'],
  drying_room: ['hang'],
  smoker: ['heat', 'hang'],
  oven: ['heat'],
  water_bath: ['heat'],
  freezer: ['freeze'],
  counter: ['bench'],
  table: ['bench'],
}

/** What a place can do: its own list, or the usual of its kind. */
export const usesOf = ({ kind, can }: { kind: PlaceKind; can: readonly PlaceUse[] | null }): readonly PlaceUse[] =>
  can ?? USUAL_USES[kind]

/** Somebody moves meat there by hand: everything but what only heats. */
export const takesMeat = (place: { kind: PlaceKind; can: readonly PlaceUse[] | null }): boolean =>
  usesOf(place).some(use => use !== 'heat')

/** A cold place for everyday: read twice a day whether or not something lies in it. */
export const isColdPlace = (place: { kind: PlaceKind; can: readonly PlaceUse[] | null }): boolean =>
  usesOf(place).includes('cold')

/** A counter or a table: as warm as a room until somebody reads it, and by its own clock. */
export const isBench = (place: { kind: PlaceKind; can: readonly PlaceUse[] | null }): boolean =>
  usesOf(place).every(use => use === 'bench')

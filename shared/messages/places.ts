import type { PlaceVerdict } from '#core/places/place-verdict'
import type { PlaceKind, PlaceUse } from '#core/places/place-kind'

export const PLACE_WORDS: Readonly<Record<PlaceKind, string>> = {
  fridge: 'Fridge',
  cold_room: 'Cold room',
  garage: 'Garage',
  drying_room: 'Drying room',
  smoker: 'Smoker',
  oven: 'Oven',
  water_bath: 'Water bath',
  freezer: 'Freezer',
  counter: 'Counter',
  table: 'Table',
}
export const USE_WORDS: Readonly<Record<PlaceUse, string>> = {
  cold: 'meat lies cold',
  hang: 'meat hangs',
  heat: 'heats',
  freeze: 'freezes',
  bench: 'meat lies out',
}
/** How a place is, in a few words. */
export const PLACE_VERDICTS: Readonly<Record<PlaceVerdict, string>> = {
  cold_enough: 'cold enough',
  warm: 'too warm, see to it',
  too_warm: 'far too warm for meat',
  too_cold: 'curing all but stops',
  no_reading: 'not read yet',
  empty: 'warm, but nothing lies in it',
  own_plan: 'read',
}

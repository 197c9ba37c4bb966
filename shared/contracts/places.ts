import { type Celsius, type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import { z } from 'zod'
import { PLACE_KINDS, PLACE_USES, type PlaceKind, type PlaceUse } from '#core/places/place-kind'
import { MOST_HOOKS, MOST_SHELVES } from '#core/rules/house'
import { relativeHumidity, name, temperature } from '../entry/fields'
import type { InstrumentMark } from './instruments'
import { toldWhen } from '../entry/when'

const named = () => z.int().positive().nullable().default(null)

/** A place as the Office sets it up. */
export const placeInput = z.strictObject({
  name: name(),
  kind: z.enum(PLACE_KINDS),
  /** Null: the usual of its kind. */
  can: z.array(z.enum(PLACE_USES)).min(1).max(PLACE_USES.length).nullable().default(null),
  thermometerId: named(),
  hygrometerId: named(),
  shelves: z.int().min(1).max(MOST_SHELVES).nullable().default(null),
  hooks: z.int().min(1).max(MOST_HOOKS).nullable().default(null),
  target: temperature().nullable().default(null),
  targetRh: relativeHumidity().nullable().default(null),
  inUse: z.boolean().default(true),
})
export type PlaceInput = z.output<typeof placeInput>

/** What a place's instruments show now: a temperature, a humidity, or both. */
export const placeReadingInput = z
  .strictObject({
    temperature: temperature().nullable().default(null),
    humidity: relativeHumidity().nullable().default(null),
    ...toldWhen(),
  })
  .refine(input => input.temperature !== null || input.humidity !== null, {
    error: 'place_reading_empty',
    path: ['temperature'],
  })
export type PlaceReadingInput = z.output<typeof placeReadingInput>

/** A place as rooms choose it. */
export interface PlaceBrief {
  id: number
  code: string
  name: string
  kind: PlaceKind
  uses: readonly PlaceUse[]
  inUse: boolean
}
export interface PlaceSetUp extends PlaceBrief {
  can: PlaceUse[] | null
  thermometerId: number | null
  hygrometerId: number | null
  shelves: number | null
  hooks: number | null
  targetC: Celsius | null
  targetRh: number | null
}
/** How many of a place's last readings the floor shows, and how old the oldest may be. House. */
export const PLACE_SHOWN = { readings: 28, forMs: 14 * MS_PER_DAY }

/** A place with its last readings, in order of time. */
export interface PlaceView extends PlaceBrief {
  thermometerId: number | null
  hygrometerId: number | null
  targetC: Celsius | null
  targetRh: number | null
  shelves: number | null
  hooks: number | null
  readings: PlaceReadingView[]
}
/** `tempC` is what was read less `offsetC`, the thermometer's; `rh` in percent, less the hygrometer's. */
export interface PlaceReadingView {
  id: number
  atMs: Milliseconds
  tempC: Celsius | null
  rh: number | null
  offsetC: Celsius
  instrument: InstrumentMark | null
}

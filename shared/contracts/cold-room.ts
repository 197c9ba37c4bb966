import type { Celsius, Milliseconds } from '#core/units/quantities'
import { z } from 'zod'
import { temperature } from '../entry/fields'
import type { HoldReason } from './holds'
import type { InstrumentKind, InstrumentMark } from './instruments'
import type { LotSummary, ShopView } from './lots'
import type { PlaceView } from './places'

/** The body of the way in that outside programs know: a temperature alone. */
export const fridgeReadingInput = z.strictObject({ temperature: temperature() })

export interface RunSummary {
  code: string
  smoker: string
  startedAtMs: Milliseconds
  pulledAtMs: Milliseconds | null
  /** Null: none, or it was pulled days ago. */
  lastReadingMs: Milliseconds | null
  lastCoreC: Celsius | null
  cooled: boolean
  lots: string[]
}

export interface FloorView {
  shop: ShopView
  lots: LotSummary[]
  places: PlaceView[]
  runs: RunSummary[]
  instruments: InstrumentBrief[]
  store: StoreConcern
  first: FirstThings
  freeBytes: number | null
  nowMs: Milliseconds
}
/** What a new shop has had of its first lot: gone from Today once one was packed. */
export interface FirstThings {
  salt: boolean
  meat: boolean
  packed: boolean
  lot: boolean
}
/** What in the Store and the book waits for someone. */
export interface StoreConcern {
  heldMeat: { code: string; reason: HoldReason }[]
  /** Packs that came back, on which the owner did not decide; the lot whose page shows them. */
  returned: { code: string; lot: string; reason: string }[]
  /** Curing salt that was to be counted by now. */
  countsDue: { code: string; name: string }[]
  /** How far the computer's clock lies behind the last record; null when it does not. */
  clockBehindMs: Milliseconds | null
}
/** An instrument as the floor chooses it, and when it is to be checked. */
export interface InstrumentBrief extends InstrumentMark {
  kind: InstrumentKind
  purpose: 'meat' | 'mix' | null
  dueMs: Milliseconds | null
  offsetC: Celsius
}

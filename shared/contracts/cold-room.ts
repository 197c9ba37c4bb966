import { z } from 'zod'
import { temperature } from './fields'
import type { InstrumentKind, InstrumentMark } from './instruments'
import type { FridgeView, LotSummary, ShopView } from './lots'

export const fridgeReadingInput = z.strictObject({ temperature: temperature() })

export interface RunSummary { code: string, smoker: string, startedAtMs: number, pulledAtMs: number | null, lastReadingMs: number | null, cooled: boolean, lots: string[] }

export interface FloorView { shop: ShopView, lots: LotSummary[], fridges: FridgeView[], runs: RunSummary[], instruments: InstrumentBrief[], nowMs: number }
/** An instrument as the floor chooses it, and when it is to be checked. */
export interface InstrumentBrief extends InstrumentMark { kind: InstrumentKind, dueMs: number | null, offsetC: number }

import type { Celsius, Milliseconds, Ppm } from '#core/units/quantities'
import { MOST_READINGS } from '#core/rules/house'
import { z } from 'zod'
import type { LotNotShownWhy } from '#core/retained/lot-stayed'
import type { Cooling } from '#core/cooling/cooling'
import type { ColdSmoke } from '#core/smoke/cold-smoke'
import type { ComeUp } from '#core/smoke/come-up'
import type { RunFigures } from '#core/smoke/run-figures'
import type { SmokeOutcome } from '#core/smoke/outcome'
import { despite } from '../entry/despite'
import { instantMs, name, temperature } from '../entry/fields'
import { instrumentId } from '../entry/instrument-id'
import type { InstrumentMark } from './instruments'
import { named } from '../faults/issues'

export const PHASES = ['smoke', 'cool'] as const

export const runInput = z.strictObject({
  smoker: name(),
  pieceIds: z.array(z.number().int()).min(1, named('no_pieces')).max(400, named('too_many_pieces')),
  targetCore: temperature(),
  coreThermometerId: instrumentId(),
  chamberThermometerId: instrumentId(),
  /** True when it goes on without the lists that are asked for. */
  unchecked: z.boolean().default(false),
  despite: despite(),
})

export const runReadingsInput = z.strictObject({
  phase: z.enum(PHASES),
  source: z.enum(['hand', 'csv']),
  readings: z
    .array(
      z
        .strictObject({ atMs: instantMs(), chamber: temperature().nullable(), core: temperature().nullable() })
        .refine(r => r.chamber !== null || r.core !== null, { error: 'reading_empty', path: ['core'] }),
    )
    .min(1, named('no_readings'))
    .max(MOST_READINGS, named('too_many_readings')),
})

export interface RunReadingView {
  id: number
  phase: 'smoke' | 'cool'
  atMs: Milliseconds
  chamberC: Celsius | null
  coreC: Celsius | null
  typed: string
  source: 'hand' | 'csv'
  coreOffsetC: Celsius
  chamberOffsetC: Celsius
  core: InstrumentMark | null
  chamber: InstrumentMark | null
}
/** A point of the smoke line; `log` is the credit so far, while it smokes. */
export interface RunPoint {
  atMs: Milliseconds
  phase: 'smoke' | 'cool'
  chamberC: Celsius | null
  coreC: Celsius | null
  log: number | null
}
/** Readings a page, newest page first, each in order of time. */
export const READINGS_PAGE = 100
export const readingsPageQuery = z.strictObject({ skip: z.coerce.number().int().min(0).max(10_000_000).default(0) })
export interface RunView {
  /** The rule set in force: whose practice the heat is judged by. */
  ruleSetId: string
  code: string
  smoker: string
  targetCoreC: Celsius
  startedAtMs: Milliseconds
  pulledAtMs: Milliseconds | null
  outcome: SmokeOutcome | null
  startedBy: string
  pulledBy: string | null
  zone: string
  lots: {
    code: string
    cut: string
    saltOnly: boolean
    /** The least that stayed in its pieces here; null: no nitrite, or not shown, and then why. */
    leastPpm: Ppm | null
    leastWhy: LotNotShownWhy | null
    ppm: Ppm | null
    pieces: number[]
    held: boolean
    rise: ComeUp | null
    cooling: Cooling | null
    cold: ColdSmoke | null
  }[]
  /** The newest page of them, and how many there are in all. */
  readings: RunReadingView[]
  readingCount: number
  /** The smoke line, thinned where a logger filled it. */
  points: RunPoint[]
  figures: RunFigures
  events: import('./events').EventView[]
  nowMs: Milliseconds
}

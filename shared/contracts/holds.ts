import type { Celsius, Milliseconds } from '#core/units/quantities'
import { z } from 'zod'
import type { HoldState } from '#core/lots/stops-lot'
import { reason } from '../entry/fields'

export const HOLD_REASONS = [
  'below_floor',
  'floor_not_shown',
  'above_limit',
  'limit_not_shown',
  'fridge_warm',
  'place_warm',
  'place_warm_sum',
  'place_not_shown',
  'bench_long',
  'smell_off',
  'mould',
  'hung_warm',
  'come_up_late',
  'come_up_not_shown',
  'cooling_late',
  'cooling_not_shown',
  'lukewarm_long',
  'cold_smoke_long',
  'cold_then_hot',
  'salt_outside',
  'target_not_reached',
  'over_green_weight',
  'arrival_warm',
  'arrival_poor',
  'wrong_agent',
  'unknown_agent',
  'past_date',
  'outside_house',
  'residual_high',
  'by_hand',
] as const
export type HoldReason = (typeof HOLD_REASONS)[number]
export const DISPOSITIONS = ['release', 'rework', 'destroy'] as const

export const dispositionInput = z.strictObject({ disposition: z.enum(DISPOSITIONS), text: reason() })

/** Anyone who records may hold a lot; only the owner lets it go. */
export const holdInput = z.strictObject({ text: reason() })

export interface HoldView {
  id: number
  reason: HoldReason
  note: string | null
  /** Held are these pieces; null: the lot. */
  pieceIds: number[] | null
  /** The place it is about, from when to when, and the warmest there. */
  place: string | null
  fromMs: Milliseconds | null
  toMs: Milliseconds | null
  worstC: Celsius | null
  /** The version whose rules placed it, where an upgrade did. */
  byRules: string | null
  /** The record by which what it rests on follows no more. */
  changedBy: number | null
  placedAtMs: Milliseconds
  disposition: HoldState['disposition']
  text: string | null
  by: string | null
  disposedAtMs: Milliseconds | null
}

import { z } from 'zod'
import type { Milliseconds } from '#core/units/quantities'
import { reason } from '../entry/fields'
import { toldWhen } from '../entry/when'

/** A pack came back: why, and where it lies now. */
export const packReturnInput = z.strictObject({
  reason: reason(),
  placeId: z.int().positive().nullable().default(null),
  ...toldWhen(),
})
export type PackReturnInput = z.output<typeof packReturnInput>

export const RETURN_DECISIONS = ['release', 'destroy'] as const
export type ReturnDecision = (typeof RETURN_DECISIONS)[number]
/** The owner decides on a pack that came back, with the reason in words. */
export const returnDecisionInput = z.strictObject({ disposition: z.enum(RETURN_DECISIONS), text: reason() })

/** A pack's return, as its lot's page shows it. */
export interface ReturnView {
  id: number
  atMs: Milliseconds
  from: string
  reason: string
  place: string | null
  disposition: ReturnDecision | null
  text: string | null
}

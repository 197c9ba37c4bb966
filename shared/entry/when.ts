import { AGO_RANGE_MINUTES } from '#core/rules/ranges'
import { z } from 'zod'
import { instantMs, name, reason } from './fields'
import { named } from '../faults/issues'

/** When it happened. `said` is how it was told, "this morning 7:10". */
export const whenInput = z.discriminatedUnion('told', [
  z.strictObject({ told: z.literal('now') }),
  z.strictObject({ told: z.literal('ago'), minutes: z.int().min(AGO_RANGE_MINUTES.min).max(AGO_RANGE_MINUTES.max, named('ago_too_far')) }),
  z.strictObject({ told: z.literal('at'), atMs: instantMs(), said: name(80).nullable() }),
])
export type WhenInput = z.output<typeof whenInput>

/** Why it is told more than a day late. */
export const lateReason = () => reason().nullable().default(null)

/** When a thing was that is mostly told as it happens, and may be told late. */
export const toldWhen = () => ({ when: whenInput.default({ told: 'now' }), lateReason: lateReason() })
export interface ToldWhen {
  when: WhenInput
  lateReason: string | null
}

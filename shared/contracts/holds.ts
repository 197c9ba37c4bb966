import { z } from 'zod'
import { reason } from './fields'

export const HOLD_REASONS = ['below_floor', 'floor_not_shown', 'above_limit', 'limit_not_shown', 'fridge_warm', 'come_up_late', 'cooling_late', 'target_not_reached', 'over_green_weight'] as const
export type HoldReason = (typeof HOLD_REASONS)[number]
export const DISPOSITIONS = ['release', 'rework', 'destroy'] as const

export const dispositionInput = z.strictObject({ disposition: z.enum(DISPOSITIONS), text: reason() })

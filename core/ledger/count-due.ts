import { MS_PER_DAY } from '../units/quantities'

/** Curing salt is counted monthly. House. */
export const COUNT_EVERY_MS = 31 * MS_PER_DAY

import type { Celsius } from '../units/quantities'

/** How fast a sum grows by the core's temperature: `perHour` above each step, nothing above `toC`. */
export interface GrowthRates {
  bands: readonly { aboveC: Celsius; perHour: number }[]
  toC: Celsius
}

const STAPH = [[10, 1.2], [15, 3], [20, 5.5], [25, 9], [30, 14]] as const
const STAPH_TO_C: Celsius = 48
/** How much faster Staphylococcus grows without nitrite. */
const STAPH_NOT_CURED = 1.4
const rates = (steps: readonly (readonly [Celsius, number])[], toC: Celsius, faster = 1): GrowthRates => ({
  bands: steps.map(([aboveC, perHour]) => ({ aboveC, perHour: perHour * faster })),
  toC,
})

/**
 * Two sums beside the windows of come-up and cooling: histories that pass every window can still add up. House, sized
 * on growth models from the literature. `askAt`: the maker is asked; `holdAt`: it is held; a hold carries the sum, and
 * one that grew by `againAt` holds again.
 */
export const GROWTH_SUMS = {
  askAt: 70,
  holdAt: 100,
  againAt: 10,
  cured: {
    staph: rates(STAPH, STAPH_TO_C),
    perfringens: rates([[15, 1.7], [20, 5.3], [26.7, 13.5], [35, 18.5]], 51),
  },
  notCured: {
    staph: rates(STAPH, STAPH_TO_C, STAPH_NOT_CURED),
    perfringens: rates([[12, 2], [15, 6], [20, 15], [26.7, 40], [35, 55]], 52),
  },
} as const
/** Where the sum of Perfringens begins, and where that of Staphylococcus begins anew. */
export const PERFRINGENS_FROM_C: Celsius = 54
export const STAPH_GONE_C: Celsius = 60

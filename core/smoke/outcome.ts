import { HEAT_TREATED_FROM_C } from '../rules/house'
import type { Celsius } from '../units/quantities'

/** What a smoke made of the pieces; the label follows it. Ready to eat is only ever claimed with a humidity option. */
export type SmokeOutcome = 'raw_smoked' | 'heat_treated'

/**
 * The outcome of a smoke by its hottest core reading. Both outcomes are cooked before eating; neither is ready to eat.
 */
export const outcomeOf = (hottestCoreC: Celsius): SmokeOutcome =>
  hottestCoreC >= HEAT_TREATED_FROM_C ? 'heat_treated' : 'raw_smoked'

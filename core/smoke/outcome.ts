import type { Celsius } from '../units/quantities'

/** What a smoke made of the pieces; the label follows it. Ready to eat is only ever claimed with a humidity option. */
export type SmokeOutcome = 'raw_smoked' | 'heat_treated'

/** A core that never saw real heat leaves the piece raw: warm-smoked bacon is cooked before eating like raw. */
const HEAT_TREATED_FROM_C: Celsius = 60

/** From the hottest core reading. Both outcomes are cooked before eating; neither is ready to eat. */
export const outcomeOf = (hottestCoreC: Celsius): SmokeOutcome =>
  hottestCoreC >= HEAT_TREATED_FROM_C ? 'heat_treated' : 'raw_smoked'

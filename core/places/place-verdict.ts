import { COLD_CHECKS, FRIDGE_CHECKS } from '../rules/house'
import type { Celsius } from '../units/quantities'
import { isColdPlace, type PlaceKind, type PlaceUse } from './place-kind'

/** How a place is, by its last reading and by whether meat lies in it. */
export type PlaceVerdict = 'cold_enough' | 'warm' | 'too_warm' | 'too_cold' | 'no_reading' | 'empty' | 'own_plan'

/** Rule sets of countries that keep meat at 5 °C. */
const AT_FIVE = ['ca', 'uk', 'eu', 'anz']
/** The shop's limit for meat that lies cold: 4.4 °C by US practice and where a shop wrote its own rules, elsewhere 5. */
export const coldLimitC = (ruleSetId: string): Celsius =>
  AT_FIVE.includes(ruleSetId) ? COLD_CHECKS.sum.elsewhereC : COLD_CHECKS.sum.usC

/**
 * Verdict on a place now, for what lies cold in it. A place that is not for lying cold has its own plan; one in which
 * nothing lies is no trouble, however warm it is.
 */
export function placeVerdict(
  place: { kind: PlaceKind; can: readonly PlaceUse[] | null },
  lastC: Celsius | null,
  occupied: boolean,
): PlaceVerdict {
  if (!isColdPlace(place)) return 'own_plan'
  if (lastC === null) return 'no_reading'
  if (lastC > FRIDGE_CHECKS.warn.aboveC && !occupied) return 'empty'
  if (lastC > FRIDGE_CHECKS.hold.aboveC) return 'too_warm'
  if (lastC > FRIDGE_CHECKS.warn.aboveC) return 'warm'
  return lastC < FRIDGE_CHECKS.tooColdC ? 'too_cold' : 'cold_enough'
}

import type { PpmMeaning } from '../cure/cure-method'
import type { PpmWithBounds } from '../cure/pieces-ppm'
import type { Ppm } from '../units/quantities'
import type { HouseLimits } from './house'

/**
 * - `inside`: the whole worst case lies between floor and limit
 * - `up_to`: an upper bound below the limit and not below the floor; what was taken up is not known
 * - `outside_house`: inside the law, but not inside the shop's own stricter limits
 * - `above_limit`: the figure itself passes the limit
 * - `limit_not_shown`: the figure is inside, but the weighing cannot show that it is
 * - `below_floor`, `floor_not_shown`: the same downwards
 * - `no_nitrite`: salt only, judged by its own rules
 */
export const NITRITE_STATUSES = [
  'inside',
  'up_to',
  'outside_house',
  'above_limit',
  'limit_not_shown',
  'below_floor',
  'floor_not_shown',
  'no_nitrite',
] as const
export type NitriteStatus = (typeof NITRITE_STATUSES)[number]

export interface JudgedLimits {
  floorPpm: Ppm
  maxPpm: Ppm
  house?: HouseLimits
}

/** Rounding dust of doubles, not a tolerance: a figure typed to meet the limit meets it. */
const DUST_PPM = 1e-9

/**
 * Verdict on ingoing nitrite against floor and limit, both ppm as NaNO2. `got` null is a salt-only cure. The limit is
 * looked at before the floor: too much is refused, too little is held. The law is judged by the worst case; the shop's
 * own limits, a working rule, by the figure itself. What is open upwards shows no limit.
 */
export function judgeNitrite(
  got: PpmWithBounds | null,
  limits: JudgedLimits,
  meaning: PpmMeaning = 'exact',
): NitriteStatus {
  if (got === null) return 'no_nitrite'
  if (got.ppm > limits.maxPpm + DUST_PPM) return 'above_limit'
  if (meaning === 'open' || got.highPpm > limits.maxPpm + DUST_PPM) return 'limit_not_shown'
  if (got.ppm < limits.floorPpm - DUST_PPM) return 'below_floor'
  if (meaning === 'exact' && got.lowPpm < limits.floorPpm - DUST_PPM) return 'floor_not_shown'
  const { floorPpm = null, maxPpm = null } = limits.house ?? {}
  if ((maxPpm !== null && got.ppm > maxPpm + DUST_PPM) || (floorPpm !== null && got.ppm < floorPpm - DUST_PPM))
    return 'outside_house'
  return meaning === 'upper_bound' ? 'up_to' : 'inside'
}

/** The worse of two verdicts is the one that comes first. */
const WORST_FIRST: readonly NitriteStatus[] = [
  'above_limit',
  'limit_not_shown',
  'below_floor',
  'floor_not_shown',
  'outside_house',
]
const rankOf = (status: NitriteStatus): number => {
  const i = WORST_FIRST.indexOf(status)
  return i < 0 ? WORST_FIRST.length : i
}
/** The verdict that decides among those on parts of a lot: the worst, of alike ones the first. At least one. */
export const worstVerdict = <V extends { status: NitriteStatus }>(verdicts: readonly V[]): V =>
  verdicts.reduce((worst, one) => (rankOf(one.status) < rankOf(worst.status) ? one : worst))

/** A lot cannot be rubbed while its nitrite is above the legal maximum, or may be for all the weighing shows. */
export const forbidsRubbing = (status: NitriteStatus): status is 'above_limit' | 'limit_not_shown' =>
  status === 'above_limit' || status === 'limit_not_shown'

/** A lot rubbed with this verdict is held until the owner decides: too little nitrite is a hazard too. */
export const holdsLot = (
  status: NitriteStatus,
): status is 'below_floor' | 'floor_not_shown' | 'outside_house' =>
  status === 'below_floor' || status === 'floor_not_shown' || status === 'outside_house'

/** True when there is nothing to mend: the whole of what is known lies where it should. */
export const isGood = (status: NitriteStatus): boolean => status === 'inside' || status === 'up_to'

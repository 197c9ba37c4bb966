import type { PpmWithBounds } from '../cure/pieces-ppm'
import type { Ppm } from '../units/quantities'

/**
 * - `inside`: the whole worst case lies between floor and limit
 * - `above_limit`: the figure itself passes the limit
 * - `limit_not_shown`: the figure is inside, but the weighing cannot show that it is
 * - `below_floor`, `floor_not_shown`: the same downwards
 * - `no_nitrite`: salt only, judged by its own rules
 */
export const NITRITE_STATUSES = [
  'inside', 'above_limit', 'limit_not_shown', 'below_floor', 'floor_not_shown', 'no_nitrite',
] as const
export type NitriteStatus = (typeof NITRITE_STATUSES)[number]

/** Rounding dust of doubles, not a tolerance: a figure typed to meet the limit meets it. */
const DUST_PPM = 1e-9

/**
 * Verdict on ingoing nitrite against a floor and a limit, both ppm as NaNO2. `got` null is a salt-only cure.
 * The limit is looked at before the floor: too much is refused, too little is held.
 */
export function judgeNitrite(
  got: PpmWithBounds | null, limits: { floorPpm: Ppm, maxPpm: Ppm },
): NitriteStatus {
  if (got === null) return 'no_nitrite'
  if (got.ppm > limits.maxPpm + DUST_PPM) return 'above_limit'
  if (got.highPpm > limits.maxPpm + DUST_PPM) return 'limit_not_shown'
  if (got.ppm < limits.floorPpm - DUST_PPM) return 'below_floor'
  if (got.lowPpm < limits.floorPpm - DUST_PPM) return 'floor_not_shown'
  return 'inside'
}

/** A lot cannot be rubbed while its nitrite is above the legal maximum, or may be for all the weighing shows. */
export const forbidsRubbing = (status: NitriteStatus): boolean =>
  status === 'above_limit' || status === 'limit_not_shown'

/** A lot rubbed with this verdict is held until the owner decides: too little nitrite is a hazard too. */
export const holdsLot = (status: NitriteStatus): boolean =>
  status === 'below_floor' || status === 'floor_not_shown'

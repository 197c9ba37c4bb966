import { NIGHT_BOUND } from '../rules/heat-line'
import type { CoreReading } from '../readings/core-reading'
import type { Celsius, Milliseconds } from '../units/quantities'

/** Two core readings of a piece that cooled unread, and what is known of the place between. */
export interface Night {
  first: CoreReading
  second: CoreReading
  /** The next reading after them; null: none yet. */
  next: CoreReading | null
  pulledAtMs: Milliseconds
  /** The coldest that the place was by its own record, from the pull to the second reading. */
  coldestC: Celsius
  /** The warmest that it was, from the first reading on. */
  warmestC: Celsius
  /** The thermometer's error either way. */
  errorC: Celsius
}

/**
 * The latest that a core falling in a fridge can have passed a temperature, though nobody read it then. Two readings 45
 * min to 5 h apart, both over 90 min after the pull, show at least how fast it follows its place, as if that had been
 * at its coldest; from the second on it falls so towards the warmest. (By the warmest for both, a fridge that went down
 * and up let 116 of 3,600 simulated slabs through up to 23 min late; so none of 3,600.) Null where they bound nothing,
 * and where the next reading does not stand at or under the temperature, less the error. Not after a wrap, a stack, a
 * move, or warm goods beside it. Example: 40 °C at 21:00 and 30 °C at 23:00 in a fridge at 4 °C, exact: 26.7 °C by
 * 23:50; had it been at 1 °C once, by 23:55. House; Newton's law of cooling, which a slab outruns.
 */
export function passedBy(tempC: Celsius, night: Night): Milliseconds | null {
  const { first, second, next, pulledAtMs, coldestC, warmestC, errorC } = night
  const apartMs = second.atMs - first.atMs
  if (apartMs < NIGHT_BOUND.leastApartMs || apartMs > NIGHT_BOUND.mostApartMs) return null
  if (first.atMs <= pulledAtMs + NIGHT_BOUND.afterPullMs || tempC <= warmestC) return null
  if (next === null || next.atMs <= second.atMs || next.coreC > tempC - errorC) return null
  const [before, after] = [first.coreC - errorC - coldestC, second.coreC + errorC - coldestC]
  if (after <= 0 || before <= after) return null
  const secondC = second.coreC + errorC
  if (secondC <= tempC) return second.atMs
  const perMs = Math.log(before / after) / apartMs
  return Math.min(second.atMs + Math.log((secondC - warmestC) / (tempC - warmestC)) / perMs, next.atMs)
}

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
  /** The warmest that the place was by its own record, from the first reading on. */
  placeC: Celsius
  /** The thermometer's error either way. */
  errorC: Celsius
}

/**
 * The latest that a core falling in a fridge can have passed a temperature, though nobody read it then: by two readings
 * 45 min to 5 h apart, both over 90 min after the pull, it falls from the second on at least as fast as between them,
 * towards the warmest that its place was. Null where they bound nothing, and where the next reading does not stand at or
 * under the temperature, less the error. Not after a wrap, a stack, a move, or warm goods beside it. Example: 40 °C at
 * 21:00 and 30 °C at 23:00 in a fridge at 4 °C, exact: 26.7 °C by 23:50. House; Newton's law of cooling, which a slab
 * outruns.
 */
export function passedBy(tempC: Celsius, { first, second, next, pulledAtMs, placeC, errorC }: Night): Milliseconds | null {
  const apartMs = second.atMs - first.atMs
  if (apartMs < NIGHT_BOUND.leastApartMs || apartMs > NIGHT_BOUND.mostApartMs) return null
  if (first.atMs <= pulledAtMs + NIGHT_BOUND.afterPullMs || tempC <= placeC) return null
  if (next === null || next.atMs <= second.atMs || next.coreC > tempC - errorC) return null
  const [before, after] = [first.coreC - errorC - placeC, second.coreC + errorC - placeC]
  if (after <= 0 || before <= after) return null
  const perMs = Math.log(before / after) / apartMs
  const atMs = Math.max(second.atMs, second.atMs + Math.log(after / (tempC - placeC)) / perMs)
  return Math.min(atMs, next.atMs)
}

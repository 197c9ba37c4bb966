import type { Celsius, Milliseconds } from '../units/quantities'

/** A straight line between two readings that differ. */
export interface ReadingLine {
  fromMs: Milliseconds
  toMs: Milliseconds
  fromC: Celsius
  toC: Celsius
}
/** When the line passes a temperature between its ends: from 2 °C at 8:00 to 6 °C at 9:00 it passes 3 °C at 8:15. */
export const crossesAt = ({ fromMs, toMs, fromC, toC }: ReadingLine, tempC: Celsius): Milliseconds =>
  fromMs + ((toMs - fromMs) * (tempC - fromC)) / (toC - fromC)

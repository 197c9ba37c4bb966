import { PROBE_OFF } from '../rules/heat-line'
import type { Celsius, Millimetres } from '../units/quantities'

/** What a core reading may be off by: its thermometer, and that the probe lies beside the slowest point. */
export interface ProbeDoubt {
  /** The thermometer's error either way. */
  errorC: Celsius
  thicknessMm: Millimetres
}

/**
 * The least that the slowest point of a slab can be, by a probe's reading and the air or water around it then: the probe
 * may sit 5 mm off the middle, where a half cosine between the faces is warmer. Air not known (null) takes 1 °C.
 * Thickness over 0; a slab under 10 mm counts as 10. Example: 64 °C in a slab of 40 mm, air 80 °C, 0.5 °C: 62.3 °C.
 * House, after simulated slabs: without it a claim was false for about half of them.
 */
export function leastCoreC(tempC: Celsius, airC: Celsius | null, { errorC, thicknessMm }: ProbeDoubt): Celsius {
  const halfMm = Math.max(thicknessMm / 2, PROBE_OFF.mm)
  const share = 1 - Math.cos((Math.PI / 2) * (PROBE_OFF.mm / halfMm))
  return tempC - errorC - (airC === null ? PROBE_OFF.airUnknownC : Math.max(0, (airC - tempC) * share))
}

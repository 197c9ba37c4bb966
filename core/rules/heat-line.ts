import { MS_PER_HOUR, MS_PER_MINUTE, type Milliseconds } from '../units/quantities'

// What readings along a piece's line show, and what they do not. House, by simulated slabs.

/**
 * What a core's rise can be at its fastest: how much faster than a slab of the model, and what two readings differ by;
 * how near the air a probe lies that is in none, and how far away it was before.
 */
export const FELL_OUT = {
  faster: 1.3,
  allowC: 1,
  nearC: 2,
  nearForMs: 5 * MS_PER_MINUTE,
  awayC: 10,
  awayWithinMs: 15 * MS_PER_MINUTE,
  airOverC: 45,
} as const
/** A slab at its fastest: diffusivity m2/s, its slowest eigenvalue, heat a cubic metre takes J/K, faces W/m2K. */
export const MODEL_FACES = { fastestD: 1.4e-7, slowest: 2.47, heatPerM3: 3.3e6, h: { dry: 30, steam: 100 } } as const
/** How two readings may bound a cooling that nobody read: how far apart, and how long after the pull. */
export const NIGHT_BOUND = {
  leastApartMs: 45 * MS_PER_MINUTE,
  mostApartMs: 5 * MS_PER_HOUR,
  afterPullMs: 90 * MS_PER_MINUTE,
} as const
/** Two readings so far apart show that a temperature was reached. */
export const REACHED_APART_MS: Milliseconds = MS_PER_MINUTE
/** How far a probe may sit off the slowest point of a slab, and what it takes where nobody measured the air. */
export const PROBE_OFF = { mm: 5, airUnknownC: 1 } as const

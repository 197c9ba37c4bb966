import { FELL_OUT, MODEL_FACES } from '../rules/heat-line'
import { MS_PER_SECOND, type Celsius, type Millimetres, type Milliseconds } from '../units/quantities'

/** A core reading with the air around the piece then; `airC` null: nobody measured it. */
export interface CoreInAir {
  atMs: Milliseconds
  coreC: Celsius
  airC: Celsius | null
}
export type HeatedIn = 'dry' | 'steam' | 'bath'

/** The time constant of a core, seconds: conduction through half the slab, and the face that the heat comes in by. */
function coreLagS(thicknessMm: Millimetres, heated: Exclude<HeatedIn, 'bath'>): number {
  const halfM = thicknessMm / 2 / 1000
  return halfM ** 2 / (MODEL_FACES.slowest * MODEL_FACES.fastestD) + (halfM * MODEL_FACES.heatPerM3) / MODEL_FACES.h[heated]
}

/** The rise from one reading to the next is more than a core of that thickness can do in air as hot as it was. */
function jumps(a: CoreInAir, b: CoreInAir, lagS: number): boolean {
  const airC = a.airC === null || b.airC === null ? null : Math.max(a.airC, b.airC)
  if (airC === null) return false
  const share = 1 - Math.exp((-FELL_OUT.faster * (b.atMs - a.atMs)) / MS_PER_SECOND / lagS)
  return b.coreC - a.coreC > FELL_OUT.allowC + Math.max(0, airC - a.coreC) * share
}

/** The last minutes stand as near the air as nothing in meat does, and a quarter of an hour ago they stood far from it. */
function joinedAir(readings: readonly CoreInAir[], i: number): boolean {
  const { atMs, airC } = readings[i]!
  if (airC === null || airC <= FELL_OUT.airOverC) return false
  const gap = (one: CoreInAir) => (one.airC === null ? null : Math.abs(one.airC - one.coreC))
  let j = i
  for (; j >= 0 && atMs - readings[j]!.atMs <= FELL_OUT.nearForMs; j--) {
    const near = gap(readings[j]!)
    if (near === null || near > FELL_OUT.nearC) return false
  }
  // Nobody knows what was before the first. Of readings further apart than that time one near the air is enough.
  if (j < 0) return false
  for (; j >= 0 && atMs - readings[j]!.atMs <= FELL_OUT.awayWithinMs; j--)
    if ((gap(readings[j]!) ?? 0) >= FELL_OUT.awayC) return true
  return false
}

/**
 * The first reading, by its place in the list, of a probe that slipped out of the meat or lies shallow; null: none. From
 * there nothing is credited until somebody puts it back. Readings in order of time, typed by hand or not; no mark in a
 * bath, where water takes the place of air, and none without air readings; at readings three quarters of an hour apart a
 * thin slab in steam may be as hot as its air by itself, and nothing is told. Example: in a slab of 40 mm at 45 °C, air at
 * 80 °C, 70 °C a minute later. House, after simulated slabs; real meat is less clean.
 */
export function fellOutAt(
  readings: readonly CoreInAir[],
  { thicknessMm, heated }: { thicknessMm: Millimetres; heated: HeatedIn },
): number | null {
  if (heated === 'bath') return null
  const lagS = coreLagS(thicknessMm, heated)
  const found = readings.findIndex((reading, i) => (i > 0 && jumps(readings[i - 1]!, reading, lagS)) || joinedAir(readings, i))
  return found < 0 ? null : found
}

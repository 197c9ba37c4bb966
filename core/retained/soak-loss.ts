import { SOAK_BOUND } from '../rules/house'
import { MS_PER_SECOND, type Celsius, type Fraction, type Millimetres, type Milliseconds } from '../units/quantities'

const KELVIN = 273.15
const COLD_ROOM_C: Celsius = 4
const GAS_CONSTANT = 8.314462618
const MM_PER_M = 1000
/** Diffusion is written in 1e-10 m2/s. */
export const D10 = 1e-10
/** The most terms summed of a series that falls at once after some hours in the cure. */
const MOST_TERMS = 200

/** How much faster it goes at a temperature than at 4 °C: Arrhenius, activation energy 25 kJ/mol. */
export const warmer = (tempC: Celsius): number =>
  Math.exp((SOAK_BOUND.activationJ / GAS_CONSTANT) * (1 / (COLD_ROOM_C + KELVIN) - 1 / (tempC + KELVIN)))

export interface Soak {
  /** Hours in the water. */
  ms: Milliseconds
  /** Null: nobody said; then it counts as lukewarm. */
  waterC: Celsius | null
  /** The thickness at its thinnest. */
  thicknessMm: Millimetres
  /** Hours in the cure before it. */
  curedMs: Milliseconds
  /** True when one face took the mix. */
  oneFace: boolean
}

/**
 * The most of what is in the meat that one stay in clean water takes along, 0 to 1: diffusion out of both faces, faster
 * than it ever is (3.5e-10 m2/s at 4 °C), from meat in which the cure still stands higher near the faces than it would
 * have evened out to (it came in slower than it ever does, 1.5e-10). Thickness over 0; times not negative. An upper
 * bound, held against a simulation in the test; 40 mm, 7 days in the cure, 60 min at 15 °C: 10.4 %. Source: Crank, The
 * Mathematics of Diffusion, for the slab; the constants are house.
 */
export function soakLoss({ ms, waterC, thicknessMm, curedMs, oneFace }: Soak): Fraction {
  const thickM = thicknessMm / MM_PER_M
  const outM = Math.sqrt(SOAK_BOUND.outD10 * D10 * warmer(waterC ?? SOAK_BOUND.usualC) * (ms / MS_PER_SECOND))
  const even = (SOAK_BOUND.inD10 * D10 * (curedMs / MS_PER_SECOND)) / (oneFace ? thickM : thickM / 2) ** 2
  return Math.min(1, (SOAK_BOUND.safety * SOAK_BOUND.twoFaces * outM * aboveEven(even)) / thickM)
}

/**
 * How many times what it evens out to still stands at the face, by `D t / L2`: 1 after weeks, without end at the start.
 */
function aboveEven(dimensionless: number): number {
  if (dimensionless <= 0) return Infinity
  let sum = 1
  for (let n = 1; n < MOST_TERMS; n++) {
    const term = 2 * Math.exp(-n * n * Math.PI ** 2 * dimensionless)
    sum += term
    if (term < 1e-12) break
  }
  return sum
}

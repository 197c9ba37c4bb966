import { LYING_LIQUID, THINNEST_SHARE } from '../rules/house'
import { MS_PER_SECOND, type Celsius, type Fraction, type Grams, type Millimetres, type Milliseconds } from '../units/quantities'
import { D10, warmer } from './soak-loss'

const MM_PER_M = 1000
const GRAMS_PER_KILOGRAM = 1000

export interface LyingLiquid {
  /** What was poured off or leaked, at its most. */
  liquidG: Grams
  /** The meat that lay in it. */
  greenG: Grams
  /** The thickness as measured; the mean is no more, the thinnest place six tenths of it. */
  thicknessMm: Millimetres
  /** Since salt last went on. */
  sinceMs: Milliseconds
  /** The coldest it was; null: as cold as meat still cures. */
  coldestC: Celsius | null
}

/**
 * The most of the cure that liquid took along which lay with the meat until it was poured off or leaked, 0 to 1:
 * whatever its strength, the lean behind it drew at least that strength, as deep as salt comes in that time at its
 * slowest. 1 where the time was too short to say. 2 kg of 40 mm after three days at 4 °C: 60 g at most 26 %, 240 g 58
 * %. Masses over 0. Source: the uptake of a slab at a constant face (Crank, The Mathematics of Diffusion); constants
 * house, held against a simulation in the test.
 */
export function lyingLoss({ liquidG, greenG, thicknessMm, sinceMs, coldestC }: LyingLiquid): Fraction {
  const d = LYING_LIQUID.slowestD10 * D10 * warmer(coldestC ?? LYING_LIQUID.coldestC)
  const inM = 2 * Math.sqrt((d * Math.max(0, sinceMs / MS_PER_SECOND)) / Math.PI) - LYING_LIQUID.lessMm / MM_PER_M
  const mostM = Math.min(LYING_LIQUID.mostMm, LYING_LIQUID.depthShare * THINNEST_SHARE * thicknessMm) / MM_PER_M
  const faceM2 = greenG / GRAMS_PER_KILOGRAM / (LYING_LIQUID.meatKgM3 * (thicknessMm / MM_PER_M))
  const drewG = LYING_LIQUID.waterKgM3 * faceM2 * Math.max(0, Math.min(mostM, inM)) * GRAMS_PER_KILOGRAM
  return liquidG / (liquidG + drewG)
}

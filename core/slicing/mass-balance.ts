import { sumOf } from '../lists/sum-of'
import { UNACCOUNTED_SHARE } from '../rules/house'
import type { Fraction, Grams } from '../units/quantities'

/** Where green weight can go besides packs. */
export const OFFCUT_KINDS = ['ends', 'rind', 'fat', 'trim', 'bone', 'samples', 'destroyed'] as const
export type OffcutKind = (typeof OFFCUT_KINDS)[number]

export interface BalanceParts {
  greenG: Grams
  /** Weight ready to slice; null until weighed. Green less this is drip and drying loss. */
  readyG: Grams | null
  /** Came off when pieces were cut up, before they were weighed to be sliced. */
  cutG?: Grams
  /** Green weight of pieces that were not weighed to be sliced yet. */
  hereG?: Grams
  /** Green weight of pieces that were taken away before. */
  takenG?: Grams
  packsG: Grams
  offcutsG: Partial<Record<OffcutKind, Grams>>
}

export interface MassBalance {
  lossG: Grams | null
  accountedG: Grams
  unaccountedG: Grams | null
  /** Packs over green weight. */
  yieldShare: Fraction
  /** Unaccounted over 1 % of green weight, either way, is asked about. */
  asks: boolean
}

/**
 * green = packs + offcuts + cut off before + not yet sliced + taken away + drip and drying loss + unaccounted. Masses 0 or more, greenG
 * more than 0.
 * Loss and unaccounted are null until the ready weight is known. Conserves mass exactly but for rounding of doubles.
 */
export function massBalance(parts: BalanceParts): MassBalance {
  const offcutsG = sumOf(Object.values(parts.offcutsG), massG => massG)
  const { cutG = 0, hereG = 0, takenG = 0 } = parts
  const apartG = cutG + hereG + takenG
  const lossG = parts.readyG === null ? null : parts.greenG - apartG - parts.readyG
  const accountedG = parts.packsG + offcutsG + apartG + (lossG ?? 0)
  const unaccountedG = lossG === null ? null : parts.greenG - accountedG
  return {
    lossG,
    accountedG,
    unaccountedG,
    yieldShare: parts.packsG / parts.greenG,
    asks: unaccountedG !== null && Math.abs(unaccountedG) > UNACCOUNTED_SHARE * parts.greenG,
  }
}

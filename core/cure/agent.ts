import type { Fraction } from '../units/quantities'

/** Molar masses, g/mol (IUPAC standard atomic weights, rounded to 1e-3). */
export const MOLAR_MASS = { NaNO2: 68.995, KNO2: 85.104, NO2: 46.005 } as const

/** The compound a label names its nitrite as. */
export type NitriteCompound = keyof typeof MOLAR_MASS

export const NITRATE_MOLAR_MASS = { NaNO3: 84.995, KNO3: 101.103 } as const
export type NitrateCompound = keyof typeof NITRATE_MOLAR_MASS

/** Factor from a mass of the compound to the same moles of sodium nitrite: KNO2 0.81071, ion 1.49973. */
export const asSodiumNitrite = (compound: NitriteCompound): number => MOLAR_MASS.NaNO2 / MOLAR_MASS[compound]

/** A curing agent as its label and certificate describe it. All shares are mass fractions, 0 to 1. */
export interface CuringAgent {
  nitriteFraction: Fraction
  nitriteAs: NitriteCompound
  nitrateFraction: Fraction
  /** Left out: sodium nitrate. */
  nitrateAs?: NitrateCompound
  saltFraction: Fraction
  /** Sugar in a ready mix. Left out: none. */
  sugarFraction?: Fraction
  /** Half-width of the label's nitrite share: 0.0025 means 6.25 % is somewhere in 6.0 to 6.5 %. */
  labelTolerance: Fraction
}

/** Nitrite share counted as NaNO2, the basis of the US limits. */
export const nitriteShare = (agent: Pick<CuringAgent, 'nitriteFraction' | 'nitriteAs'>): Fraction =>
  agent.nitriteFraction * asSodiumNitrite(agent.nitriteAs)

/** Nitrate share counted as NaNO3: 1 g of KNO3 is 0.84067 g. */
export const nitrateShare = (agent: Pick<CuringAgent, 'nitrateFraction' | 'nitrateAs'>): Fraction =>
  (agent.nitrateFraction * NITRATE_MOLAR_MASS.NaNO3) / NITRATE_MOLAR_MASS[agent.nitrateAs ?? 'NaNO3']

/** Curing salt no. 1: 6.25 % sodium nitrite in salt; common specification 6.0 to 6.5 %. */
export const CURING_SALT_NO_1: CuringAgent = {
  nitriteFraction: 0.0625,
  nitriteAs: 'NaNO2',
  nitrateFraction: 0,
  saltFraction: 0.9375,
  labelTolerance: 0.0025,
}

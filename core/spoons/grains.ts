import type { Interval } from './interval'

export type GrainRole = 'agent' | 'salt' | 'sugar' | 'spice'
export interface Grain { key: string, name: string, role: GrainRole, gramsPerMl: Interval }

const grain = (key: string, name: string, role: GrainRole, low: number, high: number): Grain => ({ key, name, role, gramsPerMl: { low, high } })

/** Bulk densities as ranges, g/mL: grain, damp and the way of filling make the difference. */
export const GRAINS: readonly Grain[] = [
  grain('curing_salt_no_1', 'Curing salt no. 1', 'agent', 1.10, 1.30),
  grain('fine_salt', 'Fine salt', 'salt', 1.15, 1.30),
  grain('flake_kosher', 'Flake kosher salt', 'salt', 0.52, 0.66),
  grain('dense_kosher', 'Dense kosher salt', 'salt', 0.95, 1.15),
  grain('coarse_sea_salt', 'Coarse sea salt', 'salt', 0.85, 1.15),
  grain('granulated_sugar', 'Granulated sugar', 'sugar', 0.80, 0.90),
  grain('brown_packed', 'Brown sugar, packed', 'sugar', 0.88, 1.00),
  grain('brown_loose', 'Brown sugar, loose', 'sugar', 0.60, 0.75),
  grain('maple_syrup', 'Maple syrup', 'sugar', 1.31, 1.34),
  grain('honey', 'Honey', 'sugar', 1.40, 1.44),
  grain('molasses', 'Molasses', 'sugar', 1.38, 1.45),
  grain('pepper_ground', 'Ground pepper', 'spice', 0.42, 0.55),
  grain('pepper_cracked', 'Cracked pepper', 'spice', 0.50, 0.62),
  grain('paprika', 'Paprika', 'spice', 0.42, 0.50),
  grain('garlic_granules', 'Garlic granules', 'spice', 0.60, 0.75),
]
export const grainOf = (key: string): Grain | undefined => GRAINS.find(g => g.key === key)

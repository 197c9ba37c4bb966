import type { Interval } from './interval'

export type GrainRole = 'agent' | 'salt' | 'sugar' | 'spice'
/**
 * `sugar` and `salt` are what a gram of it holds, as mass fractions; left out: a sugar is all sugar, a salt all salt,
 * the rest neither.
 */
export interface Grain {
  key: string
  name: string
  role: GrainRole
  gramsPerMl: Interval
  sugar: Interval
  salt: Interval
}

const NONE: Interval = { low: 0, high: 0 }
const ALL: Interval = { low: 1, high: 1 }
const grain = (
  key: string,
  name: string,
  role: GrainRole,
  low: number,
  high: number,
  holds: Partial<Pick<Grain, 'sugar' | 'salt'>> = {},
): Grain => ({
  key,
  name,
  role,
  gramsPerMl: { low, high },
  sugar: role === 'sugar' ? ALL : NONE,
  salt: role === 'salt' ? ALL : NONE,
  ...holds,
})

/** Bulk densities as ranges, g/mL: grain, damp and the way of filling make the difference. Wide ranges of the trade. */
export const GRAINS: readonly Grain[] = [
  grain('curing_salt_no_1', 'Curing salt no. 1', 'agent', 1.1, 1.3),
  grain('fine_salt', 'Fine salt', 'salt', 1.15, 1.3),
  grain('flake_kosher', 'Flake kosher salt', 'salt', 0.52, 0.66),
  grain('dense_kosher', 'Dense kosher salt', 'salt', 0.95, 1.15),
  grain('coarse_sea_salt', 'Coarse sea salt', 'salt', 0.85, 1.15),
  grain('granulated_sugar', 'Granulated sugar', 'sugar', 0.8, 0.9),
  grain('brown_packed', 'Brown sugar, packed', 'sugar', 0.88, 1.0),
  grain('brown_loose', 'Brown sugar, loose', 'sugar', 0.6, 0.75),
  grain('maple_syrup', 'Maple syrup', 'sugar', 1.31, 1.34, { sugar: { low: 0.66, high: 0.68 } }),
  grain('honey', 'Honey', 'sugar', 1.4, 1.44, { sugar: { low: 0.8, high: 0.84 } }),
  grain('molasses', 'Molasses', 'sugar', 1.38, 1.45, { sugar: { low: 0.55, high: 0.75 } }),
  grain('pepper_ground', 'Ground pepper', 'spice', 0.42, 0.55),
  grain('pepper_cracked', 'Cracked pepper', 'spice', 0.5, 0.62),
  grain('paprika', 'Paprika', 'spice', 0.42, 0.5),
  grain('garlic_granules', 'Garlic granules', 'spice', 0.6, 0.75),
  grain('garlic_fresh', 'Garlic, fresh, chopped', 'spice', 0.5, 0.65),
  grain('onion_granules', 'Onion granules', 'spice', 0.5, 0.65),
  grain('nutmeg', 'Ground nutmeg', 'spice', 0.44, 0.52),
  grain('thyme', 'Thyme, dried', 'spice', 0.15, 0.28),
  grain('rosemary', 'Rosemary, dried', 'spice', 0.15, 0.25),
  grain('juniper', 'Juniper berries', 'spice', 0.33, 0.42),
  grain('bay', 'Bay, crumbled', 'spice', 0.08, 0.15),
  grain('fennel', 'Fennel seed', 'spice', 0.36, 0.45),
  grain('coriander_seed', 'Coriander seed', 'spice', 0.3, 0.38),
  grain('coriander_ground', 'Coriander, ground', 'spice', 0.33, 0.42),
  grain('mustard_seed', 'Mustard seed', 'spice', 0.68, 0.78),
  grain('mustard_flour', 'Mustard flour', 'spice', 0.38, 0.48),
  grain('cayenne', 'Cayenne', 'spice', 0.34, 0.42),
  grain('chilli_powder', 'Chilli powder', 'spice', 0.4, 0.55),
  grain('soy_sauce', 'Soy sauce', 'spice', 1.08, 1.2, { salt: { low: 0.14, high: 0.18 } }),
  grain('spirits', 'Spirits of 40 %', 'spice', 0.94, 0.96),
]
export const grainOf = (key: string): Grain | undefined => GRAINS.find(g => g.key === key)

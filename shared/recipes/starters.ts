import { USUAL_SIDES } from '#core/cure/share-by-side'
import type { Recipe, RecipeSeasoning } from '../contracts/recipes'

const spice = (name: string, amount: number, more: Partial<RecipeSeasoning> = {}): RecipeSeasoning =>
  ({ name, per: 'percent', amount, saltFraction: 0, sugarFraction: 0, waterFraction: 0, allergens: [], group: 'all', ...more })

const recipe = (given: Pick<Recipe, 'name' | 'cut'> & Partial<Recipe>): Recipe => ({
  purpose: 'bacon', method: 'dry', agent: 'no_1', nitritePpm: 150, saltShare: 0.025, saltBasis: 'total', sugarShare: 0.01, waterShare: null, pickUp: null,
  seasonings: [], sides: { ...USUAL_SIDES }, days: { readyFrom: 7, bestBy: 14 }, note: null, ...given,
})

/** Recipes a new shop's book begins with: of the house's own invention, to be changed at once. */
export const STARTERS: readonly Recipe[] = [
  recipe({ name: 'Plain streaky', cut: 'belly', note: 'The one to measure the others by.' }),
  recipe({ name: 'Orchard streaky', cut: 'belly', saltShare: 0.024, sugarShare: 0.02, seasonings: [spice('Juniper, crushed', 0.15), spice('Bay leaf, ground', 0.05)], days: { readyFrom: 8, bestBy: 15 } }),
  recipe({ name: 'Half fennel, half mustard', cut: 'belly', seasonings: [spice('Fennel seed, cracked', 0.4, { group: 'A' }), spice('Mustard flour', 0.3, { group: 'B', allergens: ['mustard'] })], note: 'Mark the pieces A and B at the bench.' }),
  recipe({ name: 'Black lane back', cut: 'loin', saltShare: 0.023, sugarShare: 0.008, seasonings: [spice('Black pepper, cracked', 0.5)], days: { readyFrom: 9, bestBy: 16 } }),
  recipe({ name: 'Brined back', cut: 'loin', method: 'wet_equilibrium', nitritePpm: 130, saltShare: 0.022, sugarShare: 0.01, waterShare: 0.5, days: { readyFrom: 9, bestBy: 14 }, note: 'Left until meat and brine are even.' }),
  recipe({ name: 'Smoky strip shoulder', cut: 'shoulder', saltShare: 0.026, sugarShare: 0.012, seasonings: [spice('Smoked paprika', 0.8), spice('Garlic granules', 0.3), spice('Soy sauce', 15, { per: 'g_per_kg', saltFraction: 0.16, sugarFraction: 0.02, waterFraction: 0.7, allergens: ['soy', 'wheat'] })], days: { readyFrom: 6, bestBy: 11 } }),
  recipe({ name: 'Twice-rubbed shoulder', cut: 'shoulder', method: 'two_applications', saltShare: 0.026, sugarShare: 0.012, nitritePpm: 160, days: { readyFrom: 12, bestBy: 20 } }),
  recipe({ name: 'Winter jowl', cut: 'jowl', sugarShare: 0.005, seasonings: [spice('Black pepper, cracked', 0.6), spice('Thyme, dried', 0.1)], days: { readyFrom: 6, bestBy: 12 } }),
  recipe({ name: 'Salt-only belly', cut: 'belly', method: 'salt_only', agent: null, nitritePpm: 0, saltShare: 0.03, sugarShare: 0.015, days: { readyFrom: 8, bestBy: 12 }, note: 'Keep at 4 °C or colder all the way. Cook before eating.' }),
  recipe({ name: 'Long-hung loin', cut: 'loin', purpose: 'dried', agent: 'no_2', saltShare: 0.028, sugarShare: 0.005, seasonings: [spice('Black pepper, cracked', 0.4), spice('Juniper, crushed', 0.1)], days: { readyFrom: 14, bestBy: 21 }, note: 'For hanging until it has lost a third or more. Needs your process authority.' }),
]

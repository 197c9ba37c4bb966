/**
 * What must be named on a label when a flavouring brings it: Regulation (EU) 1169/2011 Annex II with each cereal and nut by
 * its name, and the nine of the US (FALCPA 2004, FASTER 2021). `nuts`: of which nobody said.
 */
export const ALLERGENS = [
  'soy',
  'wheat',
  'rye',
  'barley',
  'oats',
  'spelt',
  'mustard',
  'celery',
  'sulphites',
  'milk',
  'egg',
  'sesame',
  'peanuts',
  'almonds',
  'hazelnuts',
  'walnuts',
  'cashews',
  'pecans',
  'brazil nuts',
  'pistachios',
  'macadamias',
  'nuts',
  'lupin',
  'fish',
  'crustaceans',
  'molluscs',
] as const
export type Allergen = (typeof ALLERGENS)[number]

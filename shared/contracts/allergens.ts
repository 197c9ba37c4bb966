/** What must be named on a label when a flavouring brings it. */
export const ALLERGENS = [
  'soy',
  'wheat',
  'mustard',
  'celery',
  'sulphites',
  'milk',
  'egg',
  'sesame',
  'nuts',
  'fish',
] as const
export type Allergen = (typeof ALLERGENS)[number]

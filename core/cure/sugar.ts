import type { Fraction } from '../units/quantities'

/** One limit everywhere: syrup-rich cures put on up to 18 % of green weight, much of which stays in the bag. */
export const MOST_SUGAR: Fraction = 0.2
/** Over this it is said: sweet styles go to 4 %. */
export const SAID_SUGAR: Fraction = 0.06

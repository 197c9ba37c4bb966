/** How much one entry may hold; not limits of the work, which stand in `core/rules/`. House. */

export const LEAST_PASSWORD = 10
export const MOST_LINES = 20
export const MOST_PACKS = 500
export const MOST_RECIPES = 200
export const MOST_ROWS = 60
/** Points that a chart is drawn from. */
export const POINTS_DRAWN = 600

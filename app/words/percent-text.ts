import type { Fraction } from '#core/units/quantities'
/** A fraction as a person writes per cent in a field: 0.025 is "2.5". */
export const percentText = (share: Fraction): string => String(Math.round(share * 1e6) / 1e4)

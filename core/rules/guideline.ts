import { fahrenheitToCelsius, MS_PER_HOUR, MS_PER_MINUTE, type Celsius, type Milliseconds, type Ppm } from '../units/quantities'

// Figures of the FSIS guidelines, which stand as house rules where a shop's own text has none: cooking, Appendix A
// (2021), and stabilization, Appendix B (2021).

/** Least ingoing nitrite for cooling as a cured product. Appendix B. */
export const CURED_COOLING_PPM: Ppm = 100
export const CURED_COOLING_SOURCE = 'FSIS stabilization guideline (2021), for cooling as a cured product'

/** 130 °F, the least temperature at which kill is credited. Appendix A. */
export const KILL_FROM_C: Celsius = fahrenheitToCelsius(130)
/** The longest gap between readings that is credited: nobody knows what happened in a longer one. House. */
export const LONGEST_GAP_MS: Milliseconds = 30 * MS_PER_MINUTE
/** Reduction of Salmonella in decades. Appendix A. */
export const SALMONELLA_LOG = 6.5
/** Seconds at 150 °F for it, and the rise of temperature that takes a tenth of the time. Appendix A. */
export const SALMONELLA_AT_150F_S = 67
export const SALMONELLA_Z_F = 10

/** 158 °F: instant by the table. Appendix A. */
export const INSTANT_KILL_C: Celsius = fahrenheitToCelsius(158)
/**
 * Minutes at 70 °C that UK and EU practice asks of a heating, by which it is judged where such a set is in force: a
 * rise of 7.5 °C takes a tenth of the time, and what is claimed counts from 60 °C. House, after that practice.
 */
export const P70_WANTED_MIN = 2
export const P70_AT_C: Celsius = 70
export const P70_Z_C = 7.5
export const P70_FROM_C: Celsius = 60

/** 50 °F: from here on the core is warm. Appendix A. */
export const GROWTH_FROM_C: Celsius = 10
/** The longest time from 50 to 130 °F, with nitrite and with salt only. Appendix A; house. */
export const COME_UP_MS: Milliseconds = 6 * MS_PER_HOUR
export const COME_UP_SALT_ONLY_MS: Milliseconds = 4 * MS_PER_HOUR

/** Two stages of cooling: from 130 °F to 80 °F, then on to the end. */
export interface CoolingRule {
  id: 'cured' | 'not_cured'
  firstMs: Milliseconds
  secondMs: Milliseconds
  endC: Celsius
}
/** 80 °F, where the first stage ends. */
export const COOLING_MIDDLE_C: Celsius = fahrenheitToCelsius(80)
/** Appendix B. */
export const COOLING_RULES: Record<CoolingRule['id'], CoolingRule> = {
  cured: { id: 'cured', firstMs: 5 * MS_PER_HOUR, secondMs: 10 * MS_PER_HOUR, endC: fahrenheitToCelsius(45) },
  not_cured: { id: 'not_cured', firstMs: 1.5 * MS_PER_HOUR, secondMs: 5 * MS_PER_HOUR, endC: fahrenheitToCelsius(40) },
}

/** Why a lot is held, in a few words. */
export const HOLD_WORDS: Record<string, string> = {
  below_floor: 'nitrite below the floor',
  floor_not_shown: 'the weighing cannot show the nitrite floor',
  above_limit: 'nitrite above the limit after a correction',
  limit_not_shown: 'the weighing cannot show the nitrite limit after a correction',
  fridge_warm: 'fridge above 7 °C for over 2 h',
  come_up_late: 'core too slow to 54.4 °C',
  cooling_late: 'cooled too slowly',
  target_not_reached: 'target core not reached',
  over_green_weight: 'heavier than the fresh belly',
}

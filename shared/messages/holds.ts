import { ARRIVAL_REFUSE_C, BENCH_CHECKS, FRIDGE_CHECKS, LONG_WARM_MS, LUKEWARM } from '#core/rules/house'
import { GROWTH_FROM_C, KILL_FROM_C } from '#core/rules/guideline'
import { formatLimit, type Notation } from '#core/units/format'
import { formatSpan } from '#core/units/format-span'
import type { HoldReason } from '../contracts/holds'

const WORDS: Record<HoldReason, (as: Notation) => string> = {
  below_floor: () => 'nitrite below the floor',
  floor_not_shown: () => 'the weighing cannot show the nitrite floor',
  above_limit: () => 'nitrite above the limit by what was put on or set right',
  limit_not_shown: () => 'the weighing cannot show the nitrite limit',
  fridge_warm: as =>
    `fridge above ${formatLimit(FRIDGE_CHECKS.hold.aboveC, as)} for over ${formatSpan(FRIDGE_CHECKS.hold.forMs)}`,
  place_warm: () => 'lay too warm',
  place_warm_sum: () => 'lay over the shop\'s limit for more than a day in all',
  place_not_shown: () => 'nobody read how cold its place was, for too long to be shown',
  bench_long: () => `lay out in the room for over ${formatSpan(BENCH_CHECKS.holdMs)} in all`,
  hung_warm: () => 'hangs warm without nitrite, or too wet for it',
  mould: () => 'mould was seen on it',
  smell_off: () => 'smelled off when it was looked at',
  come_up_late: as => `core too slow to ${formatLimit(KILL_FROM_C, as)}`,
  come_up_not_shown: as => `not shown how long the core took to ${formatLimit(KILL_FROM_C, as)}`,
  cooling_late: () => 'cooled too slowly',
  cooling_not_shown: () => 'not shown that it was cooled fast enough',
  lukewarm_long: as => `core too long between ${formatLimit(LUKEWARM.fromC, as)} and ${formatLimit(LUKEWARM.toC, as)}`,
  cold_smoke_long: () => 'smoked cold for too long, or too warm',
  cold_then_hot: as => `over ${formatSpan(LONG_WARM_MS)} above ${formatLimit(GROWTH_FROM_C, as)} before the heat`,
  salt_outside: () => 'salt outside what a cure can have',
  target_not_reached: () => 'target core not reached',
  over_green_weight: () => 'heavier than the fresh belly (9 CFR 319.107)',
  arrival_warm: as => `came in above ${formatLimit(ARRIVAL_REFUSE_C, as)}`,
  arrival_poor: () => 'held on arrival',
  wrong_agent: () => 'the wrong curing salt was used',
  past_date: () => 'something past its date went on',
  unknown_agent: () => 'nobody knows which curing salt was used',
  outside_house: () => 'outside the shop\'s own nitrite limits',
  residual_high: () => 'more residual nitrite than the law allows',
  by_hand: () => 'held by hand',
}

/** Why a lot is held, in a few words. */
export const holdWords = (reason: HoldReason, as: Notation): string => WORDS[reason](as)

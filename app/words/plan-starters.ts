import type { PlanStarter } from '#core/plan/starters'

/** Ways of making bacon, as a maker would call them. */
export const STARTER_WORDS: Record<PlanStarter, string> = {
  bags: 'In bags, liquid kept, turned every 12 h',
  rack: 'On a rack, poured off daily',
  one_face: 'On one face, never turned',
  salted_again: 'Salted again on each new face',
  stack: 'In a stack, its order changed',
  salt_box_soaked: 'Salt box for a week, then soaked',
  salt_box_day: 'Salt box for a day, rinsed, rested',
  strips: 'Thin strips, massaged twice a day',
  bath_then_smoke: 'Hot bath, dried, then smoke',
  no_smoke: 'No smoke at all',
  cold_sessions: 'Cold smoke in three sessions',
  rind_off_hot: 'Hot, rind off while warm, glazed',
  hung: 'Hung for weeks to its weight',
}

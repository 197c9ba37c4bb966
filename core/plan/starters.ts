import { steadyRhythm, type CurePlan, type Plan, type PlanItem } from './plan'

const cure = (more: Partial<CurePlan> = {}): CurePlan => ({
  rhythm: steadyRhythm(1),
  firstFace: null,
  stacked: false,
  pourOffEveryDays: null,
  looks: [],
  adds: [],
  ...more,
})
const end = (fromDay: number, toDay: number, more: Partial<Plan['end']> = {}): Plan['end'] => ({
  by: 'days',
  fromDay,
  toDay,
  from: 'first_salt',
  ...more,
})
const RINSE: PlanItem = { kind: 'rinse', times: 1 }
const dry = (from: number, to: number): PlanItem => ({ kind: 'dry', how: 'rack', hours: { from, to }, untilTacky: true })
const HOT: PlanItem = { kind: 'heat', how: 'hot', sessions: 1, hours: null }
const rest = (how: 'open' | 'wrapped' | 'sealed' | 'part_frozen', from: number, to: number): PlanItem => ({
  kind: 'rest',
  how,
  hours: { from, to },
})
const SLICE: PlanItem = { kind: 'slice' }
const USUAL: readonly PlanItem[] = [RINSE, dry(12, 24), HOT, rest('wrapped', 8, 24), SLICE]

export const PLAN_STARTERS = [
  'bags',
  'rack',
  'one_face',
  'salted_again',
  'stack',
  'salt_box_soaked',
  'salt_box_day',
  'strips',
  'bath_then_smoke',
  'no_smoke',
  'cold_sessions',
  'rind_off_hot',
  'hung',
] as const
export type PlanStarter = (typeof PLAN_STARTERS)[number]

/** Ways of making bacon to begin from; each is somebody's right way, and all of it can be changed. House. */
export const STARTER_PLANS: Readonly<Record<PlanStarter, Plan>> = {
  bags: { cure: cure({ rhythm: steadyRhythm(0.5) }), end: end(7, 14), then: USUAL },
  rack: { cure: cure({ pourOffEveryDays: 1 }), end: end(7, 12), then: USUAL },
  one_face: {
    cure: cure({ rhythm: steadyRhythm(null), firstFace: 'flesh', looks: [2] }),
    end: end(8, 14),
    then: USUAL,
  },
  salted_again: {
    cure: cure({ firstFace: 'flesh', pourOffEveryDays: 1, adds: [{ when: { on: 'each_turn', toDay: 3 }, face: 'up', share: null }] }),
    end: end(7, 12, { by: 'feel', from: 'last_salt' }),
    then: [RINSE, dry(12, 24), HOT, SLICE],
  },
  stack: {
    cure: cure({
      stacked: true,
      rhythm: [
        { fromDay: 0, everyDays: 1, how: 'turned' },
        { fromDay: 8, everyDays: 2, how: 'turned' },
      ],
    }),
    end: end(10, 18),
    then: USUAL,
  },
  salt_box_soaked: {
    cure: cure({ pourOffEveryDays: 1 }),
    end: end(6, 7, { by: 'hard' }),
    then: [
      RINSE,
      { kind: 'soak', hours: { from: 0.5, to: 2 }, changes: 1, litresPerKg: 2.5 },
      rest('open', 12, 48),
      dry(4, 24),
      HOT,
      SLICE,
    ],
  },
  salt_box_day: {
    cure: cure({ rhythm: steadyRhythm(null) }),
    end: end(1, 1, { by: 'hard' }),
    then: [{ kind: 'rinse', times: 5 }, rest('wrapped', 48, 120), dry(4, 24), HOT, SLICE],
  },
  strips: {
    cure: cure({ rhythm: [{ fromDay: 0, everyDays: 0.5, how: 'massaged' }] }),
    end: end(2, 4),
    then: [RINSE, dry(1, 12), HOT, SLICE],
  },
  bath_then_smoke: {
    cure: cure(),
    end: end(7, 14),
    then: [
      RINSE,
      { kind: 'heat', how: 'bath', sessions: 1, hours: { from: 8, to: 24 } },
      { kind: 'chill', hours: { from: 4, to: 24 } },
      dry(2, 24),
      { kind: 'heat', how: 'cold', sessions: 1, hours: { from: 1, to: 3 } },
      SLICE,
    ],
  },
  no_smoke: { cure: cure(), end: end(7, 14), then: [RINSE, dry(12, 24), SLICE] },
  cold_sessions: {
    cure: cure({ rhythm: steadyRhythm(2) }),
    end: end(8, 14),
    then: [
      RINSE,
      dry(12, 24),
      { kind: 'dry', how: 'warm', hours: { from: 1, to: 2 }, untilTacky: false },
      { kind: 'heat', how: 'cold', sessions: 3, hours: { from: 4, to: 8 } },
      rest('sealed', 24, 48),
      SLICE,
    ],
  },
  rind_off_hot: {
    cure: cure(),
    end: end(7, 14),
    then: [
      RINSE,
      dry(12, 24),
      HOT,
      { kind: 'cut', what: 'rind_off' },
      { kind: 'flavour', how: 'glaze', hours: null },
      { kind: 'heat', how: 'hot', sessions: 1, hours: { from: 0.5, to: 2 } },
      rest('wrapped', 8, 24),
      SLICE,
    ],
  },
  hung: {
    cure: cure({ rhythm: steadyRhythm(2), stacked: true }),
    end: end(12, 20),
    then: [
      RINSE,
      { kind: 'flavour', how: 'dry_spice', hours: null },
      {
        kind: 'hang',
        lossFrom: 0.35,
        lossTo: 0.4,
        rhByDay: [
          { fromDay: 0, percent: 80 },
          { fromDay: 7, percent: 75 },
        ],
      },
      rest('part_frozen', 0.5, 1),
      SLICE,
      { kind: 'freeze' },
    ],
  },
}

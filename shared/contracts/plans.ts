import {
  AIR_KEPT_RANGE,
  CHANGES_RANGE,
  PLAN_RANGE_DAYS,
  PLAN_RANGE_HOURS,
  SESSIONS_RANGE,
  SOAK_RANGE_L_PER_KG,
  WHOLE_RANGE,
} from '#core/rules/ranges'
import { z } from 'zod'
import { ADD_FACES } from '#core/life/kinds/add'
import { DRY_WAYS } from '#core/life/kinds/dry'
import { FLAVOUR_WAYS } from '#core/life/kinds/flavour'
import { PIECE_FACES } from '#core/life/kinds/turn'
import { REST_WAYS } from '#core/life/kinds/rest'
import { PLANNED_TURNS } from '#core/turning/rhythm'
import { CUT_WAYS, END_WAYS, HEAT_WAYS, type Plan } from '#core/plan/plan'
import { planFault, type PlanFault } from '#core/plan/plan-fault'
import { MOST_PIECES, SLOWEST_RHYTHM_DAYS } from '#core/rules/house'
import type { Milliseconds } from '#core/units/quantities'
import { reason, number, whole } from '../entry/fields'
import { named } from '../faults/issues'

/** How much of each a plan holds at most. House. */
const MOST = { segments: 8, looks: 30, adds: 10, items: 24, humiditySteps: 12 }

const day = () => whole(PLAN_RANGE_DAYS)
const fraction = () => number(WHOLE_RANGE)
const hours = () =>
  z
    .strictObject({ from: number(PLAN_RANGE_HOURS), to: number(PLAN_RANGE_HOURS) })
    .refine(span => span.from <= span.to, { ...named('hours_order'), path: ['to'] })

const cure = z.strictObject({
  rhythm: z
    .array(
      z.strictObject({
        fromDay: day(),
        everyDays: z.union([z.literal(0.5), z.int().min(1).max(SLOWEST_RHYTHM_DAYS)]).nullable(),
        earliest: z.int().min(1).max(SLOWEST_RHYTHM_DAYS).optional(),
        how: z.enum(PLANNED_TURNS),
      }),
    )
    .min(1)
    .max(MOST.segments),
  firstFace: z.enum(PIECE_FACES).nullable(),
  stacked: z.boolean(),
  pourOffEveryDays: z.int().min(1).max(SLOWEST_RHYTHM_DAYS).nullable(),
  looks: z.array(day()).max(MOST.looks),
  adds: z
    .array(
      z.strictObject({
        when: z.discriminatedUnion('on', [
          z.strictObject({ on: z.literal('day'), day: day() }),
          z.strictObject({ on: z.literal('each_turn'), toDay: day() }),
          z.strictObject({ on: z.literal('after_draining') }),
        ]),
        face: z.enum(ADD_FACES),
        share: fraction().nullable(),
      }),
    )
    .max(MOST.adds),
})

const item = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rinse'), times: whole({ ...CHANGES_RANGE, min: 1 }) }),
  z.strictObject({
    kind: z.literal('soak'),
    hours: hours(),
    changes: whole(CHANGES_RANGE),
    litresPerKg: number(SOAK_RANGE_L_PER_KG).nullable(),
  }),
  z.strictObject({ kind: z.literal('rest'), how: z.enum(REST_WAYS), hours: hours() }),
  z.strictObject({ kind: z.literal('dry'), how: z.enum(DRY_WAYS), hours: hours(), untilTacky: z.boolean() }),
  z.strictObject({ kind: z.literal('flavour'), how: z.enum(FLAVOUR_WAYS), hours: hours().nullable() }),
  z.strictObject({
    kind: z.literal('heat'),
    how: z.enum(HEAT_WAYS),
    sessions: whole(SESSIONS_RANGE),
    hours: hours().nullable(),
  }),
  z.strictObject({ kind: z.literal('cut'), what: z.enum(CUT_WAYS) }),
  z.strictObject({
    kind: z.literal('hang'),
    lossFrom: fraction(),
    lossTo: fraction(),
    rhByDay: z.array(z.strictObject({ fromDay: day(), percent: whole(AIR_KEPT_RANGE) })).max(MOST.humiditySteps),
  }),
  z.strictObject({ kind: z.literal('chill'), hours: hours() }),
  z.strictObject({ kind: z.literal('slice') }),
  z.strictObject({ kind: z.literal('freeze') }),
])

/** Where on a plan a fault is shown. */
const WHERE: Record<PlanFault, (string | number)[]> = {
  rhythm_order: ['cure', 'rhythm'],
  end_before_ready: ['end', 'toDay'],
  look_after_end: ['cure', 'looks'],
  add_after_end: ['cure', 'adds'],
  adds_over: ['cure', 'adds'],
  slice_before_more: ['then'],
  rinse_not_first: ['then'],
}

/** What a maker intends with a lot from its rub to its last pack: what the recipe book keeps, and what a lot follows. */
export const planContract = z
  .strictObject({
    cure,
    end: z.strictObject({
      by: z.enum(END_WAYS),
      fromDay: day(),
      toDay: day(),
      from: z.enum(['first_salt', 'last_salt']),
    }),
    then: z.array(item).max(MOST.items),
  })
  .superRefine((plan, ctx) => {
    const fault = planFault(plan)
    if (fault) ctx.addIssue({ code: 'custom', path: WHERE[fault], message: fault })
  }) satisfies z.ZodType<Plan>

/** A plan changed on the way: for all of the lot, or for pieces that go a way of their own. */
export const planChangeInput = z.strictObject({
  plan: planContract,
  /** Ids; null: the lot, but for pieces with a plan of their own. */
  pieces: z.array(z.int().positive()).min(1).max(MOST_PIECES).nullable(),
  reason: reason(),
  /** Smoke on a wet surface was asked about, and stands. */
  sure: z.boolean().default(false),
})

/** A plan as a lot follows it. */
export interface LotPlan {
  plan: Plan
  /** How many there were before and this one; 0: nobody laid one, the shop's usual way is assumed. */
  number: number
  assumed: boolean
  /** Ids; null: the lot. */
  pieces: number[] | null
  reason: string | null
  atMs: Milliseconds | null
}

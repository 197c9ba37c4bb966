import {
  BEST_BY_RANGE_DAYS,
  BRINE_RANGE,
  BULK_MEAT_RANGE_KG,
  FIRST_RANGE,
  FLAVOURING_RANGE,
  INGREDIENT_RANGE,
  PICK_UP_RANGE,
  PIECE_RANGE,
  READY_RANGE_DAYS,
  RESIDUAL_RANGE_PPM,
  SALT_RANGE,
  SHOP_RANGE_PPM,
  SUGAR_RANGE,
  TARGET_RANGE_PPM,
  THICKNESS_RANGE_MM,
  WEIGHED_AFTER_RANGE,
  WHOLE_RANGE,
} from '#core/rules/ranges'
import type { Milliseconds, Ppm } from '#core/units/quantities'
import { MOST_MEASURED_SALT_SHARE, MOST_PIECES, MOST_SEASONINGS } from '#core/rules/house'
import { z } from 'zod'
import { PURPOSES } from '#core/agents/agent-fault'
import { CURE_METHODS, isWet } from '#core/cure/cure-method'
import { AMOUNT_KINDS } from '#core/cure/seasoning'
import { TURN_RHYTHMS } from '#core/turning/rhythm'
import { CUTS, RINDS } from '#core/rules/cuts'
import { code, decimal, isoDate, name, note, percent, text, weight, number, whole } from '../entry/fields'
import { instrumentId } from '../entry/instrument-id'
import { withDays } from '#core/plan/plan'
import { planFault } from '#core/plan/plan-fault'
import { planContract } from './plans'
import { named, type EntryCode } from '../faults/issues'
import { toldWhen } from '../entry/when'

const weighed = z.strictObject({ lotCode: code(), weighed: weight(INGREDIENT_RANGE) })
const piece = z.strictObject({
  meatCode: code(),
  weight: weight(PIECE_RANGE),
  meatPieceId: z.number().int().positive().nullable().default(null),
  bag: z.number().int().min(1).max(MOST_PIECES).nullable().default(null),
})
const seasoning = weighed.extend({
  per: z.enum(AMOUNT_KINDS),
  amount: decimal(FLAVOURING_RANGE),
  /** Which pieces get it, counted from 1; null: all. */
  pieces: z.array(z.number().int().min(1).max(MOST_PIECES)).min(1, named('no_pieces')).nullable(),
})
const sideShare = () => number(WHOLE_RANGE)
export const sidesContract = z
  .strictObject({ flesh: sideShare(), fat: sideShare(), edges: sideShare() })
  .refine(sides => sides.flesh + sides.fat + sides.edges > 0, named('sides_empty'))

/** A lot as it was weighed and rubbed. For two applications the weights are the first one's. */
export const rubInput = z
  .strictObject({
    cut: z.enum(CUTS),
    rind: z.enum(RINDS),
    purpose: z.enum(PURPOSES).default('bacon'),
    method: z.enum(CURE_METHODS),
    /** A rule row chosen instead of the general ones. */
    choiceId: text().max(64).nullable().default(null),
    pieces: z.array(piece).min(1, named('no_pieces')).max(MOST_PIECES, named('too_many_pieces')),
    meatScaleId: instrumentId(),
    mixScaleId: instrumentId(),
    targets: z.strictObject({
      saltShare: percent(SALT_RANGE),
      sugarShare: percent(SUGAR_RANGE),
      saltBasis: z.enum(['total', 'added']),
      nitritePpm: decimal(TARGET_RANGE_PPM),
    }),
    /** Null: salt only, by any method; its target is 0 then. */
    agent: weighed.nullable(),
    salt: weighed.nullable(),
    sugar: weighed.nullable(),
    /**
     * The salt's weight once more, where it is off from the plan by more than a fifth; the curing salt's, where all
     * salt comes through it.
     */
    saltAgain: weight(INGREDIENT_RANGE).nullable().default(null),
    /** Salt and sugar come through the curing salt or bulk mix alone. */
    fromAgentOnly: z.boolean().default(false),
    seasonings: z.array(seasoning).max(MOST_SEASONINGS, named('too_many_seasonings')).default([]),
    /** Two applications: how much of it goes on now. */
    firstShare: percent(FIRST_RANGE).nullable().default(null),
    ...toldWhen(),
    water: weight(BRINE_RANGE).nullable().default(null),
    mostPickUp: percent(PICK_UP_RANGE).nullable().default(null),
    weighedBack: weight(INGREDIENT_RANGE).nullable().default(null),
    sides: sidesContract.nullable().default(null),
    recipeRevisionId: z.number().int().positive().nullable().default(null),
    cardCode: code().nullable().default(null),
    thicknessMm: decimal(THICKNESS_RANGE_MM),
    readyFromDay: whole(READY_RANGE_DAYS),
    bestByDay: whole(BEST_BY_RANGE_DAYS),
    /** Any place that meat can lie in. */
    fridgeId: z.number().int(),
    /** How its pieces lie where they are in no bag: "rack", "stack", "tub A". */
    spot: name(60).nullable().default(null),
    /** Days between turns; null: as the shop turns. 4: from the third day on. */
    turnEveryDays: z.literal(TURN_RHYTHMS).nullable().default(null),
    /** What is intended with it; null: as the shop usually does. Its days are the lot's own. */
    plan: planContract.nullable().default(null),
    note: note(),
  })
  .superRefine((input, ctx) => {
    const fault = (path: (string | number)[], message: EntryCode) => ctx.addIssue({ code: 'custom', path, message })
    // Forgotten, or meant: the target says which, or the old name.
    const isMeant = input.method === 'salt_only' || input.targets.nitritePpm === 0
    if (input.agent === null && !isMeant) fault(['agent', 'lotCode'], 'agent_missing')
    if (input.method === 'salt_only' && input.agent !== null) fault(['agent', 'lotCode'], 'agent_in_salt_only')
    const wrong = input.plan && planFault(withDays(input.plan, input.readyFromDay, input.bestByDay))
    if (wrong && wrong !== 'end_before_ready') fault(['plan'], wrong)
    if (input.bestByDay < input.readyFromDay) fault(['bestByDay'], 'best_by_before_ready')
    if (input.method !== 'excess' && input.targets.saltShare > MOST_MEASURED_SALT_SHARE)
      fault(['targets', 'saltShare'], 'salt_share_high')
    if (isWet(input.method) && input.water === null) fault(['water'], 'empty')
    if (input.method === 'wet_pick_up' && input.mostPickUp === null) fault(['mostPickUp'], 'empty')
    if (input.method === 'two_applications' && input.firstShare === null) fault(['firstShare'], 'empty')
    if (input.weighedBack !== null && input.method !== 'excess') fault(['weighedBack'], 'not_excess')
    input.seasonings.forEach((s, i) => {
      if (s.pieces?.some(number => number > input.pieces.length)) fault(['seasonings', i, 'pieces'], 'piece_not_here')
    })
  })
export type RubInput = z.output<typeof rubInput>

/** The second of two applications, after the first draining. */
export const secondApplicationInput = z.strictObject({
  /** Null only where the first was without. */
  agent: weighed.nullable(),
  salt: weighed.nullable(),
  sugar: weighed.nullable(),
  mixScaleId: instrumentId(),
})
/** A weighing after the cure: mix shaken off and weighed back, or the meat out of its brine. */
export const weighedAfterInput = z.strictObject({
  weight: weight(WEIGHED_AFTER_RANGE),
  scaleId: instrumentId(),
})

export const labResultInput = z.strictObject({
  residual: decimal(RESIDUAL_RANGE_PPM),
  laboratory: name(),
  report: name(),
  sampledOn: isoDate(),
  fileId: z.number().int().positive().nullable().default(null),
})
export interface LabResultView {
  id: number
  residualPpm: Ppm
  laboratory: string
  report: string
  sampledOn: string
  atMs: Milliseconds
  by: string
}

/** A mix for many kilograms, made of lots in the Store; becomes a lot of its own. */
export const bulkMixInput = z.strictObject({
  name: name(),
  forKg: decimal(BULK_MEAT_RANGE_KG),
  ppm: decimal(SHOP_RANGE_PPM),
  scaleId: instrumentId(),
  bestBefore: isoDate().nullable(),
  parts: z
    .array(weighed)
    .min(2, named('mix_too_few'))
    .max(MOST_SEASONINGS + 3, named('too_many_seasonings')),
})

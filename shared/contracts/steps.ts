import { z } from 'zod'
import { TURN_WAYS } from '#core/turning/rhythm'
import {
  ADD_FACES,
  COLOURS,
  CUT_OFFS,
  DRY_WAYS,
  FEELS,
  FLAVOUR_WAYS,
  FRY_VERDICTS,
  LIQUIDS,
  MOULDS,
  PIECE_FACES,
  REST_WAYS,
  SMELLS,
  SPOTS,
  SURFACES,
  TAKE_WHYS,
} from '#core/life/step'
import { MOST_HOOKS, MOST_PIECES, MOST_SEASONINGS, ROUGH_ML } from '#core/rules/house'
import { code, decimal, DRAINED_RANGE, INGREDIENT_RANGE, name, note, temperature, weight } from './fields'
import { instrumentId } from './instruments'
import { tag } from './tags'
import { despite } from './despite'
import { named } from '../faults/issues'
import { lateReason, whenInput } from './when'

/** Lots in one press, and kinds of step in it. */
export const MOST_LOTS_A_PRESS = 60
export const MOST_STEPS_A_PRESS = 4
/** Pieces of one lot on one scale, grams. */
export const MEAT_RANGE = { minG: 50, maxG: 2_000_000 }
/** A part of a piece, or what came off one, grams. */
export const PART_RANGE = { minG: 1, maxG: 60_000 }
export const MOST_PARTS = 12
const MOST_ML = 50_000
/** Percent of relative humidity in which meat hangs. */
export const HUMIDITY = { least: 40, most: 95 }
export const LITRES = { least: 0.1, most: 1000 }
/** Changes of the water, or rinses. */
const MOST_CHANGES = 20
export const MOST_LASTED_MINUTES = 60 * 24 * 60

/** Liquid as people tell it: weighed, in mL, or roughly. */
const liquid = () =>
  z.discriminatedUnion('told', [
    z.strictObject({ told: z.literal('weighed'), weight: weight(DRAINED_RANGE) }),
    z.strictObject({ told: z.literal('ml'), ml: z.union([z.number().min(1).max(MOST_ML), decimal(1, MOST_ML)]) }),
    z.strictObject({ told: z.literal('rough'), rough: z.enum(Object.keys(ROUGH_ML) as (keyof typeof ROUGH_ML)[]) }),
  ])

/** It is over and lasted so many minutes; null: it goes on, until the next thing begins. */
const lasted = () => z.int().min(1).max(MOST_LASTED_MINUTES).nullable()
/** Where it lies from then on; null: where it lay. */
const placeId = () => z.int().positive().nullable()

/** What goes on: lots of the store, each with its weight for all pieces of the press; null: without being weighed. */
const puts = () =>
  z
    .array(z.strictObject({ lotCode: code(), weighed: weight(INGREDIENT_RANGE).nullable() }))
    .min(1, named('nothing_put_on'))
    .max(MOST_SEASONINGS + 3, named('too_many_seasonings'))
/** Ids of pieces from the bottom up, where a stack does not lie as its order has it. */
const order = () =>
  z
    .array(z.int().positive())
    .min(1)
    .max(MOST_PIECES)
    .refine(ids => new Set(ids).size === ids.length, named('piece_twice'))
    .optional()
/** It was asked about, and lies on the meat already. */
const sure = () => z.boolean().default(false)

/** What can be told by a press, each kind with what it says. */
const stepInput = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('turn'), how: z.enum(TURN_WAYS), face: z.enum(PIECE_FACES).nullable(), order: order() }),
  z.strictObject({
    kind: z.literal('drain'),
    how: z.enum(['poured_off', 'leaked']),
    /** Null: nobody saw how much. */
    liquid: liquid().nullable(),
    /** Kept, and poured back. */
    back: z.boolean(),
    /** Salt was to be seen lying there. */
    saltLies: z.boolean(),
    /** Salt that had not dissolved went along. */
    tookSalt: z.boolean().default(false),
    /** More than the usual was asked about, and stands. */
    sure: sure(),
  }),
  z.strictObject({
    kind: z.literal('look'),
    feel: z.enum(FEELS).nullable(),
    colour: z.enum(COLOURS).nullable().default(null),
    smell: z.enum(SMELLS).nullable().default(null),
    liquid: z.enum(LIQUIDS).nullable().default(null),
    spots: z.enum(SPOTS).nullable().default(null),
    surface: z.enum(SURFACES).nullable().default(null),
    /** White bloom, or any other colour. */
    mould: z.enum(MOULDS).nullable().default(null),
    /** A file that was sent ahead. */
    photoId: z.int().positive().nullable().default(null),
    note: note(),
  }),
  z.strictObject({
    kind: z.literal('move'),
    placeId: z.int().positive(),
    spot: name(60).nullable(),
    order: order(),
    /** It hangs, and too wet for the warm was asked about: it hangs there already. */
    sure: sure(),
  }),
  /** The meat: all pieces of the press on one scale, or some of them together on each tare. */
  z
    .strictObject({
      kind: z.literal('weigh'),
      weight: weight(MEAT_RANGE).nullable().default(null),
      groups: z
        .array(z.strictObject({ pieces: z.array(z.int().positive()).min(1).max(MOST_PIECES), weight: weight(MEAT_RANGE) }))
        .max(MOST_PIECES)
        .default([]),
      scaleId: instrumentId(),
      /** Salt lies on it still. */
      saltLies: z.boolean(),
      /** Heavier than when it was weighed last was asked about, and stands. */
      sure: sure(),
    })
    .refine(({ weight: all, groups }) => (all === null) !== (groups.length === 0), { error: 'weighed_one_way', path: ['weight'] })
    .refine(
      ({ groups }) => {
        const ids = groups.flatMap(group => group.pieces)
        return new Set(ids).size === ids.length
      },
      { error: 'piece_twice', path: ['groups'] },
    ),
  /** One piece, cut into parts; what it weighed just before, if somebody looked. */
  z
    .strictObject({
      kind: z.literal('cut'),
      whole: weight(MEAT_RANGE).nullable(),
      into: z
        .array(z.strictObject({ weight: weight(PART_RANGE), tag: tag().nullable() }))
        .min(1, named('no_parts'))
        .max(MOST_PARTS, named('too_many_parts')),
      offcuts: z.array(z.strictObject({ kind: z.enum(CUT_OFFS), weight: weight(PART_RANGE) })).max(2 * CUT_OFFS.length),
      scaleId: instrumentId(),
      /** Missing or too much was asked about, and stands. */
      sure: sure(),
    })
    .refine(cut => cut.into.length + cut.offcuts.length > 1, { error: 'nothing_cut', path: ['into'] }),
  z.strictObject({ kind: z.literal('out'), rinses: z.int().min(0).max(MOST_CHANGES).nullable() }),
  z.strictObject({
    kind: z.literal('soak'),
    minutes: lasted(),
    litres: decimal(LITRES.least, LITRES.most).nullable(),
    water: temperature().nullable(),
    changes: z.int().min(0).max(MOST_CHANGES),
  }),
  z.strictObject({
    kind: z.literal('fry_test'),
    salt: z.literal([1, 2, 3, 4, 5]),
    verdict: z.enum(FRY_VERDICTS),
    /** Nobody told of a soak: asked about, and tasted all the same. */
    sure: sure(),
  }),
  z.strictObject({ kind: z.literal('dry'), minutes: lasted(), how: z.enum(DRY_WAYS), placeId: placeId(), sure: sure() }),
  z.strictObject({ kind: z.literal('rest'), minutes: lasted(), how: z.enum(REST_WAYS), placeId: placeId(), sure: sure() }),
  /** Hung to dry by weight, until the next thing ends it; the hook of each piece, where somebody said. */
  z
    .strictObject({
      kind: z.literal('hang'),
      placeId: z.int().positive(),
      hooks: z
        .array(z.strictObject({ piece: z.int().positive(), hook: z.int().min(1).max(MOST_HOOKS) }))
        .max(MOST_PIECES)
        .default([]),
      sure: sure(),
    })
    .refine(({ hooks }) => new Set(hooks.map(one => one.hook)).size === hooks.length, { error: 'hook_twice', path: ['hooks'] })
    .refine(({ hooks }) => new Set(hooks.map(one => one.piece)).size === hooks.length, { error: 'piece_twice', path: ['hooks'] }),
  /** Gone, and never packed: thrown away, tasted up. What is sold whole is a pack. */
  z.strictObject({ kind: z.literal('take'), why: z.enum(TAKE_WHYS) }),
  /** The air where it hangs is kept at so many percent from now on. */
  z.strictObject({ kind: z.literal('humidity'), percent: z.int().min(HUMIDITY.least).max(HUMIDITY.most) }),
  /** More of the cure: salt, curing salt or a mix. */
  z.strictObject({ kind: z.literal('add'), face: z.enum(ADD_FACES), parts: puts(), scaleId: instrumentId(), sure: sure() }),
  /** Flavour after the cure; a marinade goes on, or lasted so many minutes. */
  z.strictObject({
    kind: z.literal('flavour'),
    how: z.enum(FLAVOUR_WAYS),
    minutes: z.int().min(0).max(MOST_LASTED_MINUTES).nullable(),
    parts: puts(),
    scaleId: instrumentId(),
    sure: sure(),
  }),
])
export type StepInput = z.output<typeof stepInput>
export type ToldKind = StepInput['kind']

/** One press: one to four steps, done to pieces of one or more lots at one time. */
export const pressInput = z
  .strictObject({
    steps: z.array(stepInput).min(1).max(MOST_STEPS_A_PRESS),
    lots: z
      .array(
        z.strictObject({
          code: code(),
          /** Ids; null: all of the lot for which it makes sense then. */
          pieces: z.array(z.int().positive()).min(1).max(MOST_PIECES).nullable(),
        }),
      )
      .min(1)
      .max(MOST_LOTS_A_PRESS),
    when: whenInput,
    lateReason: lateReason(),
    despite: despite(),
    /** Another press told the same a moment ago: both were done. */
    again: z.boolean().default(false),
  })
  .refine(input => new Set(input.lots.map(lot => lot.code)).size === input.lots.length, {
    error: 'lot_twice',
    path: ['lots'],
  })
  .refine(
    ({ steps, lots }) =>
      steps.every(step => step.kind !== 'cut') || (steps.length === 1 && lots.length === 1 && lots[0]!.pieces?.length === 1),
    { error: 'one_piece_a_cut', path: ['lots', 0, 'pieces'] },
  )
  .refine(
    ({ steps, lots }) => {
      const groups = steps.flatMap(step => (step.kind === 'weigh' ? step.groups : []))
      return groups.length === 0 || (steps.length === 1 && lots.length === 1)
    },
    { error: 'one_lot_a_weighing', path: ['lots'] },
  )
  .refine(input => input.lots.length === 1 || input.steps.every(step => !('parts' in step)), {
    error: 'one_lot_a_put',
    path: ['lots'],
  })
  .refine(input => input.lots.length === 1 || input.steps.every(step => !('order' in step && step.order)), {
    error: 'one_lot_an_order',
    path: ['lots'],
  })
export type PressInput = z.output<typeof pressInput>

/** Of the way in that outside programs know: all of a lot is out of the cure. */
export const outInput = z.strictObject({ despite: despite() })

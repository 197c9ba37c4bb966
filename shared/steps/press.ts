import { z } from 'zod'
import { MOST_PIECES } from '#core/rules/house'
import { despite } from '../entry/despite'
import { code } from '../entry/fields'
import { lateReason, whenInput } from '../entry/when'
import { stepInput } from './all-told'

/** Lots in one press, and kinds of step in it. */
export const MOST_LOTS_A_PRESS = 60
export const MOST_STEPS_A_PRESS = 4

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

/** The body of the way in that outside programs know: all of a lot is out of the cure. */
export const outInput = z.strictObject({ despite: despite() })

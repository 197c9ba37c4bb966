import { DELIVERY_RANGE, DRAINED_RANGE, INGREDIENT_RANGE, PACK_RANGE, PIECE_RANGE } from '#core/rules/ranges'
import { z } from 'zod'
import { code, instantMs, name, reason, temperature, text, weight } from '../entry/fields'

const id = () => z.number().int().positive()
const why = { reason: reason() }

/** What can be set right after it was recorded. The first value stays in the book, with who and why. */
export const correctionInput = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('meat_weight'), code: text(), value: weight(DELIVERY_RANGE), ...why }),
  z.strictObject({ what: z.literal('meat_supplier_lot'), code: text(), value: name(), ...why }),
  z.strictObject({ what: z.literal('piece_weight'), id: id(), value: weight(PIECE_RANGE), ...why }),
  z.strictObject({ what: z.literal('ingredient_weighed'), id: id(), value: weight(INGREDIENT_RANGE), ...why }),
  z.strictObject({ what: z.literal('fridge_reading'), id: id(), value: temperature(), ...why }),
  z.strictObject({ what: z.literal('core_reading'), id: id(), value: temperature(), ...why }),
  /** Another curing salt went on than was written down; null when nobody knows which. */
  z.strictObject({ what: z.literal('agent_used'), id: id(), value: code().nullable(), ...why }),
  /** When a press was done; `id` is its record's. */
  z.strictObject({ what: z.literal('step_hour'), id: id(), value: instantMs(), ...why }),
  /** How much was drained or leaked, of a press that told it. */
  z.strictObject({ what: z.literal('step_drained'), id: id(), value: weight(DRAINED_RANGE), ...why }),
  z.strictObject({ what: z.literal('pack_weight'), id: id(), value: weight(PACK_RANGE), sure: z.boolean().default(false), ...why }),
  /** A pack went to another customer than was written down. */
  z.strictObject({ what: z.literal('pack_customer'), id: id(), value: name(), ...why }),
])
export type CorrectionInput = z.output<typeof correctionInput>
export type CorrectionKind = CorrectionInput['what']

import { OFFCUT_RANGE, PACK_RANGE, READY_RANGE } from '#core/rules/ranges'
import { z } from 'zod'
import type { Cut } from '#core/rules/cuts'
import type { Grams } from '#core/units/quantities'
import { OFFCUT_KINDS } from '#core/slicing/mass-balance'
import { MOST_PIECES } from '#core/rules/house'
import { despite } from '../entry/despite'
import { instrumentId } from '../entry/instrument-id'
import { code, isoDate, name, weight } from '../entry/fields'
import { named } from '../faults/issues'
import { MOST_PACKS } from '../faults/sizes'
import { toldWhen } from '../entry/when'

export const slicingInput = z
  .strictObject({
    readyWeight: weight(READY_RANGE).nullable(),
    /** Ids of the pieces on the table; null: all that are there. */
    pieces: z.array(z.int().positive()).min(1).max(MOST_PIECES).nullable().default(null),
    /** True when that was all of them: nothing of these pieces is left. */
    all: z.boolean().default(false),
    packedOn: isoDate(),
    scaleId: instrumentId(),
    packs: z
      .array(z.strictObject({ kind: z.enum(['sliced', 'ends']), weight: weight(PACK_RANGE) }))
      .max(MOST_PACKS, named('too_many_packs')),
    /** True when it goes on without the lists that are asked for. */
    unchecked: z.boolean().default(false),
    offcuts: z.array(z.strictObject({ kind: z.enum(OFFCUT_KINDS), weight: weight(OFFCUT_RANGE) })).max(20),
    ...toldWhen(),
    despite: despite(),
    /** Why more comes off the table than was brought to it; null: nobody was asked. */
    overWhy: despite(),
  })
  .refine(input => input.packs.length + input.offcuts.length > 0 || input.readyWeight !== null || input.all, {
    error: 'nothing_to_record',
    path: ['packs'],
  })

export const dispatchInput = z.strictObject({
  customer: name(),
  sentOn: isoDate(),
  packCodes: z.array(code()).min(1, named('no_packs')).max(MOST_PACKS),
  despite: despite(),
})

/** A pack that lies in the shop. */
export interface UnsentPack {
  code: string
  lot: string
  cut: Cut
  kind: string
  netG: Grams
  packedOn: string
  /** True when it came back, and goes nowhere until the owner decides. */
  cameBack: boolean
}

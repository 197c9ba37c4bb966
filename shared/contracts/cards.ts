import type { Milliseconds } from '#core/units/quantities'
import { z } from 'zod'
import { anyJson, code, text } from '../entry/fields'
import { named } from '../faults/issues'

const LONGEST_DRAFT = 60_000
/** The Bench as it was laid out, as typed. The page that wrote it reads it; the server keeps it whole. */
export const cardDraft = z
  .record(text(), anyJson())
  .refine(draft => JSON.stringify(draft).length <= LONGEST_DRAFT, named('draft_too_long'))
export type CardDraft = z.output<typeof cardDraft>
export const cardInput = z.strictObject({ draft: cardDraft, code: code().nullable().default(null) })
export interface CardView {
  code: string
  draft: CardDraft
  atMs: Milliseconds
  by: string
  lot: string | null
}

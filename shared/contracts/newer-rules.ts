import type { Grams, Milliseconds } from '#core/units/quantities'
import type { HoldReason } from './holds'

/** A lot that a newer version's rules held, and its packs that are with customers. */
export interface NewerRulesLot {
  code: string
  reasons: readonly HoldReason[]
  /** The version whose rules they are. */
  by: string
  atMs: Milliseconds
  packs: { code: string; netG: Grams; sentOn: string; customer: string; contact: string | null }[]
}
export interface NewerRulesView {
  lots: NewerRulesLot[]
}

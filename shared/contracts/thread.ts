import type { Grams } from '#core/units/quantities'
import { z } from 'zod'
import type { NodeKind } from '#core/trace/thread'
import { code } from '../entry/fields'

/**
 * One thing a thread goes through. Packs of one lot with one customer are one node: `packs` of them, from `firstCode`
 * to `lastCode`.
 */
export interface ThreadNodeView {
  code: string
  kind: NodeKind
  title: string
  detail: string
  massG: Grams | null
  held: boolean
  packs?: number
  firstCode?: string
  lastCode?: string
}
export interface OutlineRow {
  code: string
  title: string
  held: boolean
  packs: number
  massG: Grams
}
/** A thread of many lots, told in lists: which lots, and who has how many packs of them. */
export interface ThreadOutline {
  lots: OutlineRow[]
  customers: OutlineRow[]
  unsent: { packs: number; massG: Grams }
}
/** `outline` in place of what would be too much to follow by eye. */
export interface ThreadView {
  code: string
  nodes: ThreadNodeView[]
  links: { from: string; to: string }[]
  outline: ThreadOutline | null
}

/** A bundle of packs, opened: by its lot and who has it. */
export const packListQuery = z.strictObject({ lot: code(), party: z.coerce.number().int().min(1).optional() })
export interface PackLine {
  code: string
  netG: Grams
  packedOn: string
}

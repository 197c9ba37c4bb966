import { z } from 'zod'
import type { NodeKind } from '#core/trace/thread'
import { code } from './fields'

/** One thing a thread goes through. Packs of one lot with one customer are one node: `packs` of them, from `firstCode` to `lastCode`. */
export interface ThreadNodeView {
  code: string, kind: NodeKind, title: string, detail: string, massG: number | null, held: boolean
  packs?: number, firstCode?: string, lastCode?: string
}
export interface ThreadView { code: string, nodes: ThreadNodeView[], links: { from: string, to: string }[] }

/** A bundle of packs, opened: by its lot and who has it. */
export const packListQuery = z.strictObject({ lot: code(), party: z.coerce.number().int().min(1).optional() })
export interface PackLine { code: string, netG: number, packedOn: string }

import type { z } from 'zod'
import type { pressInput } from '#shared/steps/press'

/** A press as a page tells it. */
export type Press = z.input<typeof pressInput>
export type PressStep = Press['steps'][number]
export type PressWhen = Pick<Press, 'when' | 'lateReason'>

/** A lot of a press, and all its pieces that could be meant. */
export interface PressLot {
  code: string
  /** Ids; null: all for which it makes sense. */
  pieces: number[] | null
  all: readonly number[]
}

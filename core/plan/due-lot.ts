import type { IsoDate } from '../calendar/local-day'
import type { Feel } from '../life/kinds/look'
import type { Grams, Milliseconds } from '../units/quantities'
import type { Plan } from './plan'
import type { DoneStep } from './progress'

/** What is due of a lot is worked out from this. */
export interface DueLot {
  rubbedAtMs: Milliseconds
  rubbedOn: IsoDate
  zone: string
  turnBy: string
  plan: Plan
  /** Plans of pieces that have one of their own. */
  piecePlans: readonly { pieces: readonly number[]; plan: Plan }[]
  /** What is there: not what was sliced to the end. */
  pieces: readonly { id: number; outAtMs: Milliseconds | null; greenG: Grams }[]
  turns: readonly { atMs: Milliseconds; pieces: readonly number[] | null }[]
  /** All but turns, in order of happening. */
  did: readonly DoneStep[]
  lastFeel: { feel: Feel; atMs: Milliseconds } | null
}

export interface Group {
  plan: Plan
  ids: readonly number[]
}

/** Whether a step was done to a piece. */
export const isOf = (step: Pick<DoneStep, 'pieces'>, id: number): boolean => step.pieces === null || step.pieces.includes(id)

import type { AddFace } from '#core/life/kinds/add'
import type { FlavourWay } from '#core/life/kinds/flavour'
import type { Milliseconds } from '#core/units/quantities'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import type { AskName } from '#shared/steps/all-told'
import type { PlanPress } from '~/logic/plan-press'
import type { PressStep } from '~/logic/press'

/** What is asked of: pieces of a lot that lie in one place. */
export interface AskedOf {
  lot: Pick<LotSummary, 'code' | 'rubbedAtMs' | 'method' | 'saltOnly'>
  /** All of the row. */
  pieces: LotPiece[]
  places: PlaceView[]
  /** The place where they lie. */
  from: number | null
  curing: boolean
  nowMs: Milliseconds
  /** Where its plan wants more of the cure put on, its turn, and how it is flavoured. */
  face?: AddFace | undefined
  turn?: PlanPress | undefined
  flavour?: FlavourWay | undefined
}
/** What a form knows of the row that it is asked in. */
export interface AskRow extends AskedOf {
  ask: AskName
  /** Pieces that were chosen; all, where none was. */
  meant: LotPiece[]
  /** The hour that was said; null: now. */
  toldAtMs: Milliseconds | null
}
export interface AskProps {
  row: AskRow
  saving: boolean
}
/** `pieces`: others than those meant. `then`: once it was taken, what was typed is needed no more. */
export interface TellMore {
  pieces?: number[]
  then?: () => void
}
export interface AskEvents {
  tell: [steps: PressStep[], words: string, more?: TellMore]
  close: []
}

import type { Ppm } from '#core/units/quantities'
import type { JudgementBrief, LotPiece, LotSummary } from './lots'
import type { ToldKind } from '../steps/all-told'

/** A lot as a press left it: what the rooms show of its life. */
export type LotNow = Pick<
  LotSummary,
  'code' | 'cureEndedAtMs' | 'drainedAtMs' | 'contradictions' | 'turns' | 'did' | 'lastFeel'
> & {
  /** Only where the press may have held something. */
  openHolds?: LotSummary['openHolds']
  heldPieces?: LotSummary['heldPieces']
  /** The least that stayed, only where it may have changed. */
  leastPpm?: Ppm | null
  /** Judged afresh, where something was put on. */
  judgement?: JudgementBrief
  pieces: Pick<
    LotPiece,
    | 'id' | 'placeId' | 'spot' | 'face' | 'stage' | 'sinceMs' | 'outAtMs' | 'layer' | 'stackTurns' | 'goneAtMs' | 'goneWhy'
  >[]
}

/** What a press answers: the steps by lot, and the lots as they are now. */
export interface PressAnswer {
  steps: { id: number; lot: string; kind: ToldKind; pieces: readonly (number | string)[] }[]
  lots: LotNow[]
}

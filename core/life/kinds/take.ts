import { STAGES } from './stage'
import { stepKind } from './kind'

/** Why pieces are taken away before they were packed: thrown away, or gone for something that is no pack. */
export const TAKE_WHYS = ['thrown_away', 'tasted', 'other'] as const
export type TakeWhy = (typeof TAKE_WHYS)[number]

/** Taken away: gone, and never packed. */
export const take = stepKind({
  /** `decided`: the owner decided so of what was held. */
  figures: { why: 'thrown_away' } as { why: TakeWhy; decided?: boolean },
  stages: STAGES,
  traits: ['pressed', 'movesPiece'],
})

import { isLeft } from '#core/lots/finished'
import type { LotRow } from '#shared/contracts/lots'

export interface LotStage {
  words: string
  tone: 'good' | 'watch' | 'act' | 'held' | 'plain'
}

/** Where a lot is in its life, in a word or two. A hold comes before everything. */
export function lotStage(
  lot: Pick<LotRow, 'openHolds' | 'cureEndedAtMs' | 'packs' | 'unsent' | 'runs' | 'readyG' | 'leftG' | 'unsliced'>,
): LotStage {
  if (lot.openHolds.length > 0) return { words: 'held', tone: 'held' }
  if (lot.cureEndedAtMs === null) return { words: 'in the cure', tone: 'watch' }
  if (lot.packs > 0) {
    if (lot.unsent > 0) return { words: `packed, ${lot.unsent} in the fridge`, tone: 'good' }
    return isLeft(lot) ? { words: 'sent; part not sliced yet', tone: 'watch' } : { words: 'all sent', tone: 'good' }
  }
  if (lot.runs.some(run => run.pulledAtMs === null)) return { words: 'in the smoke', tone: 'watch' }
  if (lot.runs.some(run => !run.cooled)) return { words: 'cooling', tone: 'watch' }
  return lot.runs.length > 0 ? { words: 'ready to slice', tone: 'good' } : { words: 'drying', tone: 'watch' }
}

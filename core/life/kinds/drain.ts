import type { Grams } from '../../units/quantities'
import { RAW_OR_SMOKED } from './stage'
import { stepKind } from './kind'

/** What left the meat: grams at its least and at its most. */
export interface DrainedG {
  lowG: Grams
  highG: Grams
}

/** Liquid was poured off, or leaked out. */
export const drain = stepKind({
  /**
   * `drained` null: nobody saw how much. `back`: kept, and poured back. `saltLies`: salt was to be seen on the meat;
   * `tookSalt`: some that had not dissolved went along, told since records can say so.
   */
  figures: { how: 'poured_off', drained: null, back: false, saltLies: false } as {
    how: 'poured_off' | 'leaked'
    drained: DrainedG | null
    back: boolean
    saltLies: boolean
    tookSalt?: boolean
  },
  // What is left in the bag at its end is poured off after it; a vacuum bag of a rest has some, too.
  stages: ['cure', ...RAW_OR_SMOKED],
  rather: 'cure',
  traits: ['pressed', 'asked', 'movesRetained'],
})

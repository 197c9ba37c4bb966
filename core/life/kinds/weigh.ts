import type { Grams } from '../../units/quantities'
import { STAGES } from './stage'
import { stepKind } from './kind'

/** Weighed: the mix that was left over, or the meat. */
export const weigh = stepKind({
  /**
   * The mix that was shaken off an excess cure, or the meat out of its brine; or the meat as it lies, which bounds what
   * ran off unseen unless salt lies on it still. `offG`: how far the scale may be off.
   */
  figures: { what: 'after_brine', netG: 1000 } as
  | { what: 'weighed_back' | 'after_brine'; netG: Grams }
  | { what: 'meat'; netG: Grams; offG: Grams; saltLies: boolean },
  says: figures => (figures.what === 'meat' ? { netG: figures.netG } : {}),
  stages: STAGES,
  traits: ['asked', 'movesRetained'],
})

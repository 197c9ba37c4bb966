import type { Grams } from '../../units/quantities'
import { RAW_OR_SMOKED } from './stage'
import { stepKind } from './kind'

/** How flavour goes on after the cure: in a bag for hours, dry on the pellicle, or as a glaze, also during a heat. */
export const FLAVOUR_WAYS = ['marinade', 'dry_spice', 'glaze'] as const
export type FlavourWay = (typeof FLAVOUR_WAYS)[number]

/** Flavour put on after the cure. */
export const flavour = stepKind({
  figures: { how: 'dry_spice', readabilityG: 1, unweighed: false } as { how: FlavourWay; readabilityG: Grams; unweighed: boolean },
  says: ({ how }) => ({ how }),
  // A glaze goes on between or during heats; a marinade goes on where the meat lies.
  stages: [...RAW_OR_SMOKED, 'heat'],
  lasts: true,
  traits: ['pressed', 'asked', 'putsOn', 'mayHold'],
})

import { RAW_OR_SMOKED } from './stage'
import { againstOf, type Against } from './against'
import { stepKind } from './kind'

/** A slicing: the piece lies on the slicing table. */
export const slice = stepKind({
  /** `all`: that was all of these pieces. */
  figures: {} as { all?: boolean } & Against,
  says: againstOf,
  stages: RAW_OR_SMOKED,
  traits: ['asked', 'withOthers'],
})

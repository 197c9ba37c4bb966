import type { Celsius } from '../../units/quantities'
import { OUT_OF_CURE } from './stage'
import { HEAT_FROM_C } from '../../rules/house'
import { againstOf, type Against } from './against'
import { stepKind } from './kind'

/** A smoke, cold or hot: the piece is in the smoker. */
export const heat = stepKind({
  /** `code`: of its record of readings. `back`: at its end the pieces lie where they lay before. */
  figures: { code: 'S-0001', targetC: 65, back: true } as { code: string; targetC: Celsius; back: boolean } & Against,
  says: figures => ({ hot: figures.targetC > HEAT_FROM_C, ...againstOf(figures) }),
  stages: OUT_OF_CURE,
  becomes: 'heat',
  lasts: true,
  leaves: 'rest',
  traits: ['asked', 'withOthers'],
})

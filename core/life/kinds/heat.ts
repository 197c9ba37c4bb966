import type { Celsius } from '../../units/quantities'
import { OUT_OF_CURE } from './stage'
import type { Against } from './against'
import { stepKind } from './kind'

/** In the smoker: a smoke, cold or hot. */
export const heat = stepKind({
  /** `code`: of its record of readings. `back`: at its end the pieces lie where they lay before. */
  figures: {} as { code: string; targetC: Celsius; back: boolean } & Against,
  stages: OUT_OF_CURE,
  becomes: 'heat',
  lasts: true,
  leaves: 'rest',
  traits: ['asked', 'withOthers'],
})

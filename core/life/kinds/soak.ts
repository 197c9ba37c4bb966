import type { Celsius } from '../../units/quantities'
import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** A soak in water, to take salt off. */
export const soak = stepKind({
  /** `litres` and `waterC` null: nobody measured. `changes`: how often the water was changed. */
  figures: { litres: null, waterC: null, changes: 0 } as { litres: number | null; waterC: Celsius | null; changes: number },
  stages: OUT_OF_CURE,
  becomes: 'soak',
  lasts: true,
  leaves: 'dry',
  traits: ['pressed', 'asked', 'movesRetained'],
})

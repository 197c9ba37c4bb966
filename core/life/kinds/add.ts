import type { Grams } from '../../units/quantities'
import { stepKind } from './kind'

/** Where more of the cure goes on: `up` the face that lies up then. */
export const ADD_FACES = ['flesh', 'fat', 'up', 'all'] as const
export type AddFace = (typeof ADD_FACES)[number]

/** More of the cure put on. */
export const add = stepKind({
  /**
   * What went on stands with the lot's ingredients, by the step's number, or by the application before there were any.
   * `readabilityG`: of the scale; `unweighed`: some of it went on without.
   */
  figures: { application: 2 } as { application: number; face?: AddFace; readabilityG?: Grams; unweighed?: boolean },
  stages: ['cure'],
  traits: ['asked', 'movesRetained', 'putsOn'],
})

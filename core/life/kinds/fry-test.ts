import { OUT_OF_CURE } from './stage'
import { stepKind } from './kind'

/** What a fried slice tasted of, 1 far too little to 5 far too much, and what follows: it is done, or soaked again. */
export const FRY_VERDICTS = ['done', 'again'] as const
export type FryVerdict = (typeof FRY_VERDICTS)[number]
export type SaltTaste = 1 | 2 | 3 | 4 | 5

/** A slice fried to taste its salt. */
export const fryTest = stepKind({
  figures: { salt: 3, verdict: 'done' } as { salt: SaltTaste; verdict: FryVerdict },
  says: ({ verdict }) => ({ verdict }),
  stages: OUT_OF_CURE,
  traits: ['pressed', 'observed', 'asked'],
})

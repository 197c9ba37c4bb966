import type { z } from 'zod'
import type { FiguresOfStep, StepKind } from '#core/life/kinds/all-kinds'
import type { Grams } from '#core/units/quantities'

/** What a lot's figures are worked out with. */
export interface OfLot {
  /** In the cure; it makes its brine heavier. */
  syrup: boolean
  /** What the meat's scale reads to. */
  readabilityG: Grams
  /** Which put it is, of what was put on. */
  application?: number | undefined
  /** What a cut came to. */
  cut?: FiguresOfStep['cut'] | undefined
}

/** What of a press its step then says, and where it lies from then on. */
export interface Laid<K extends StepKind> {
  figures: FiguresOfStep[K]
  placeId?: number | null
}

/** A kind of step as a press tells it: what is sent, and what the step then says. */
export interface ToldKind<I extends z.ZodType<{ kind: StepKind }>> {
  input: I
  laid: (step: z.output<I>, of: OfLot) => Laid<z.output<I>['kind']>
}
export const toldKind = <I extends z.ZodType<{ kind: StepKind }>>(input: I, laid: ToldKind<I>['laid']): ToldKind<I> => ({
  input,
  laid,
})

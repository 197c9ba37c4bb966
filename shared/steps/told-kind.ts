import type { z } from 'zod'
import type { FiguresOfStep, StepKind } from '#core/life/kinds/all-kinds'
import type { Grams } from '#core/units/quantities'
import type { Notation } from '#core/units/format'

/** What a lot's figures are worked out with. */
export interface OfLot {
  /** True when it goes on in the cure, and makes its brine heavier. */
  syrup: boolean
  /** What the meat's scale reads to. */
  readabilityG: Grams
  /** Which put it is, of what was put on. */
  application?: number | undefined
  /** What a cut came to. */
  cut?: FiguresOfStep['cut'] | undefined
}

/** What of a press its step then says, and where it lies from then on. */
export interface LaidFigures<K extends StepKind> {
  figures: FiguresOfStep[K]
  placeId?: number | null
}

/**
 * What the words of a step need beside what was sent: names of places and ingredients, and the steps as they were laid.
 */
export interface Named {
  places: Readonly<Record<number, string>>
  names?: Readonly<Record<string, string>>
  steps: readonly { kind: StepKind; pieces: readonly (number | string)[]; into?: readonly string[] | undefined }[]
}

/** One thing that a row asks for: a kind of step, or one way of telling it. */
export interface Ask {
  /** What was done, before its hour is asked for: "Soaked: ". */
  verb: string
  /** The words in the menu of a row: in the cure, after it, and while it hangs, if not as after it. */
  menu?: { cure?: string; after?: string; hangs?: string }
  /** Asked for seldom: it stands behind the others. */
  rare?: true
  /** The ask whose form it is told with; none: its own. */
  form?: string
}

/** What is said of a kind of step. */
interface Words<Step, Asks extends Record<string, Ask>> {
  /** What was done to the pieces: they were "put into water". */
  done: string
  /** The words in the book: "Soaked for 30 min, 4 L". */
  told: (step: Step, of: Named, as: Notation) => string
  asks: Asks
}

/** A kind of step as a press tells it: what is sent, what the step then says, and what is said of it. */
export interface KindTold<I extends z.ZodType<{ kind: StepKind }>, Asks extends Record<string, Ask>>
  extends Words<z.output<I>, Asks> {
  input: I
  laid: (step: z.output<I>, of: OfLot) => LaidFigures<z.output<I>['kind']>
}
export const toldKind = <I extends z.ZodType<{ kind: StepKind }>, const Asks extends Record<string, Ask>>(
  input: I,
  laid: KindTold<I, Asks>['laid'],
  words: Words<z.output<I>, Asks>,
): KindTold<I, Asks> => ({ input, laid, ...words })

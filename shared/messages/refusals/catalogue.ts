import type { Failures, None } from '#core/failures'
import type { FiguresOf } from '#core/result'
import type { Notation } from '#core/units/format'
import { ACCESS } from './access'
import { ENTRIES } from '../../faults/entries'
import { MISSING } from './missing'
import { OURS } from './ours'
import { SETTLED } from './settled'
import { WORK } from './work'

/**
 * Everything that is ever refused. A code stands once, in the file of its kind, with the figures that its words need
 * and the words; all else (what `refuse` may be called with, the answer's status) follows from it.
 */
export const REFUSALS = { ...ENTRIES, ...MISSING, ...SETTLED, ...ACCESS, ...OURS, ...WORK }

type Catalogue = typeof REFUSALS
export type RefusalCode = keyof Catalogue

/** Each code to its figures. */
export type Refusals = {
  [C in RefusalCode]: Parameters<Catalogue[C]> extends readonly [infer Figures, ...unknown[]] ? Figures : None
}
export type FiguresOfRefusal<C extends RefusalCode> = FiguresOf<Refusals, C>

// What core refuses must be worded here with the very figures that core gives.
type CoreFigures = { [C in keyof Failures]: C extends RefusalCode ? Refusals[C] : 'not worded' }
type Unworded = { [C in keyof Failures]: Failures[C] extends CoreFigures[C] ? never : C }[keyof Failures]
const everyFailureWorded: [Unworded] extends [never] ? true : Unworded = true
void everyFailureWorded

export const hasWords = (code: string): code is RefusalCode => Object.hasOwn(REFUSALS, code)

/** A code in words where the program itself says it: with every figure, or it does not compile. */
export const wordsOf = <C extends RefusalCode>(code: C, figures: Refusals[C], as: Notation): string =>
  wordsFor(code, figures, as)

type AnyWords = (figures: object, as: Notation) => string
/**
 * A code in words, its figures as they come over the line. A code without words can only come from another version of
 * the program: it is shown rather than hidden.
 */
export const wordsFor = (code: string, figures: object | undefined, as: Notation): string =>
  hasWords(code) ? (REFUSALS[code] as AnyWords)(figures ?? {}, as) : `Not done (${code}).`

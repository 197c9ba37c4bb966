import type { Notation } from '#core/units/format'
import { ENTRY_WORDS } from './entry'
import type { Params } from './params'
import { REFUSAL_WORDS } from './refusals'

const WORDS = { ...ENTRY_WORDS, ...REFUSAL_WORDS }

export const hasWords = (code: string): boolean => code in WORDS

/** A code in words. A code without words is a bug that the tests look for; it is shown rather than hidden. */
export const wordsFor = (code: string, params: Params, as: Notation): string =>
  WORDS[code]?.(params ?? {}, as) ?? `Not done (${code}).`

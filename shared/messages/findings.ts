import type { BreakKind } from '#core/book/walk-chain'

/** What is wrong with the first broken record, in words. */
export const BREAK_WORDS: Record<BreakKind, string> = {
  changed: 'it does not fit its seal, so it was changed after it was made',
  missing: 'it is missing, so records were taken out',
  end_differs: 'here the book and its last seal part, so records were cut off the end or the rest was written anew',
  subjects_differ: 'it is not found under the codes that it names',
}

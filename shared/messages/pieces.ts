import { wordList } from '#core/lists/word-list'

/** "piece 2", "pieces 1 and 3". */
export const piecesWords = (numbers: readonly (number | string)[]): string =>
  `${numbers.length === 1 ? 'piece' : 'pieces'} ${wordList(numbers)}`

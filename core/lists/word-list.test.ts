import { expect, it } from 'vitest'
import { wordList } from './word-list'

it('lists as people do', () => {
  expect([[], [1], [1, 2], ['a', 'b', 'c']].map(wordList)).toEqual(['', '1', '1 and 2', 'a, b and c'])
})

import { expect, it } from 'vitest'
import { formatSpan } from './format-span'

it.each([
  [0, '0 min'],
  [45, '45 min'],
  [60, '1 h'],
  [200, '3 h 20 min'],
  [47 * 60 + 59, '47 h 59 min'],
  [48 * 60, '2 days'],
  [199.75 * 60, '8 days'],
])('%d minutes: %s', (minutes, words) => expect(formatSpan(minutes * 60_000)).toBe(words))

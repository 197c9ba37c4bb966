import { expect, it } from 'vitest'
import { formatDate, formatDateInYear } from './format-date'

it.each([
  ['dmy', '3 Nov', '3 Nov 2026'],
  ['mdy', 'Nov 3', 'Nov 3, 2026'],
  ['iso', '2026-11-03', '2026-11-03'],
] as const)('%s: %s, with its year %s', (dates, words, inYear) => {
  expect(formatDate('2026-11-03', dates)).toBe(words)
  expect(formatDateInYear('2026-11-03', dates)).toBe(inYear)
})

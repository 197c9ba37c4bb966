import { describe, expect, it } from 'vitest'
import { formatDate, formatDateInYear } from '#core/units/format-date'
import { clockWords, momentWords } from './date-words'
import { formatSpan } from '#core/units/format-span'

const at = (iso: string) => Date.parse(iso)

describe('dates and spans as people read them', () => {
  it.each([
    ['dmy', '3 Nov'],
    ['mdy', 'Nov 3'],
    ['iso', '2026-11-03'],
  ] as const)('%s: %s', (dates, words) => expect(formatDate('2026-11-03', dates)).toBe(words))
  it.each([
    ['dmy', '3 Nov 2026'],
    ['mdy', 'Nov 3, 2026'],
    ['iso', '2026-11-03'],
  ] as const)('with its year, %s: %s', (dates, words) => expect(formatDateInYear('2026-11-03', dates)).toBe(words))
  it('show the shop\'s wall, not the tablet\'s', () => {
    expect(momentWords(at('2026-11-03T03:30Z'), 'America/Chicago', 'dmy')).toBe('2 Nov 21:30')
    expect(clockWords(at('2026-11-03T03:30Z'), 'Asia/Kolkata')).toBe('09:00')
  })
  it.each([
    [0, '0 min'],
    [45, '45 min'],
    [60, '1 h'],
    [200, '3 h 20 min'],
    [47 * 60 + 59, '47 h 59 min'],
    [48 * 60, '2 days'],
    [199.75 * 60, '8 days'],
  ])('%d minutes: %s', (minutes, words) => expect(formatSpan(minutes * 60_000)).toBe(words))
})

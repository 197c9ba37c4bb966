import { expect, it } from 'vitest'
import { clockWords, exactWords, momentWords } from './date-words'

const at = (iso: string) => Date.parse(iso)

it('dates and clocks are those of the shop\'s wall, not the tablet\'s', () => {
  expect(momentWords(at('2026-11-03T03:30Z'), 'America/Chicago', 'dmy')).toBe('2 Nov 21:30')
  expect(clockWords(at('2026-11-03T03:30Z'), 'Asia/Kolkata')).toBe('09:00')
  expect(exactWords(at('2026-11-03T03:30:07Z'), 'America/Chicago')).toBe(
    '2026-11-02 21:30:07 America/Chicago, 2026-11-03 03:30:07 UTC',
  )
})

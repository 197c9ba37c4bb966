import { expect, it } from 'vitest'
import { msTo } from './other-hour.mjs'

const now = Date.parse('2026-11-28T01:30:00.500Z')

it('an hour of the same day is before or after now', () => {
  expect(now + msTo('23:50', now)).toBe(Date.parse('2026-11-28T23:50:00Z'))
  expect(now + msTo('00:30', now)).toBe(Date.parse('2026-11-28T00:30:00Z'))
})
it('an hour of another day, as of the night on which clocks change', () => {
  expect(now + msTo('2027-03-14 07:30', now)).toBe(Date.parse('2027-03-14T07:30:00Z'))
})
it('says what an hour looks like', () => {
  for (const wrong of ['24:00', '9:30', 'noon', '', '2027-13-01 09:00', '2027-03-14']) expect(() => msTo(wrong, now)).toThrow('like 23:50')
})

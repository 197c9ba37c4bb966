import { expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { checkState, isAskedFor } from './check-state'

const NOW = Date.UTC(2026, 10, 27, 9)
const state = (hoursAgo: number, passed = true) =>
  checkState({ goodForMs: 24 * MS_PER_HOUR, last: { atMs: NOW - hoursAgo * MS_PER_HOUR, passed } }, NOW)

it('a list holds as long as it says, and only where all of it was in order', () => {
  expect(checkState({ goodForMs: MS_PER_HOUR, last: null }, NOW)).toBe('never_done')
  expect([state(0), state(24), state(24.01)]).toEqual(['good', 'good', 'over'])
  const changed = { goodForMs: 24 * MS_PER_HOUR, last: { atMs: NOW, passed: true }, sameItems: false }
  expect(checkState(changed, NOW)).toBe('over')
  expect([state(1, false), state(99, false)]).toEqual(['open', 'open'])
})
it('is asked for in its place, a tool wherever it is used, and not once it is put away', () => {
  const smoker = { asked: 'before_heat', placeId: 3, inUse: true } as const
  const heat = { asked: 'before_heat', placeId: 3 } as const
  expect(isAskedFor(smoker, heat)).toBe(true)
  expect(isAskedFor(smoker, { ...heat, placeId: 4 })).toBe(false)
  expect(isAskedFor({ ...smoker, inUse: false }, heat)).toBe(false)
  expect(isAskedFor({ ...smoker, placeId: null }, heat)).toBe(true)
  // Nobody says where it is sliced: a list of any place is asked for.
  expect(isAskedFor({ ...smoker, asked: 'before_slicing' }, { asked: 'before_slicing', placeId: null })).toBe(true)
  expect(isAskedFor({ ...smoker, placeId: null }, { asked: 'before_slicing', placeId: null })).toBe(false)
})

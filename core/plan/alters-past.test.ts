import fc from 'fast-check'
import { expect, it } from 'vitest'
import { altersPast, rhythmFrom } from './alters-past'
import { steadyRhythm } from './plan'
import { STARTER_PLANS } from './starters'

it('what is yet to come may change, what is over may not', () => {
  const daily = steadyRhythm(1)
  expect(altersPast(daily, daily, 3)).toBe(false)
  expect(altersPast(daily, steadyRhythm(2), 0)).toBe(true)
  expect(altersPast(daily, [...daily, { fromDay: 4, everyDays: 2, how: 'turned' }], 3)).toBe(false)
  expect(altersPast(daily, [...daily, { fromDay: 4, everyDays: 2, how: 'turned' }], 4)).toBe(true)
  const { rhythm } = STARTER_PLANS.stack.cure
  expect(altersPast(rhythm, rhythm.slice(0, 1), 7)).toBe(false)
  expect(altersPast(rhythm, rhythm.slice(0, 1), 8)).toBe(true)
})
it('a rhythm from tomorrow on never alters the past', () => {
  const every = fc.constantFrom(0.5, 1, 2, 4, null)
  fc.assert(
    fc.property(fc.array(every, { minLength: 1, maxLength: 5 }), every, fc.integer({ min: 0, max: 12 }), (some, next, today) => {
      const before = some.map((everyDays, i) => ({ fromDay: 3 * i, everyDays, how: 'turned' as const }))
      const after = rhythmFrom(before, { fromDay: 0, everyDays: next, how: 'turned' }, today)
      expect(altersPast(before, after, today)).toBe(false)
      expect(after.at(-1)).toMatchObject({ fromDay: today + 1, everyDays: next })
    }),
  )
})

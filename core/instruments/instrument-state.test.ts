import { describe, expect, it } from 'vitest'
import { MS_PER_DAY } from '../units/quantities'
import { stateAt } from './instrument-state'

describe('when a check is due', () => {
  const check = (day: number, passed = true) => ({ atMs: day * MS_PER_DAY, passed })
  it.each([
    [[], 5, 'never'],
    [[check(1)], 5, 'checked'],
    [[check(1)], 31, 'checked'],
    [[check(1)], 32, 'overdue'],
    [[check(1), check(20)], 32, 'checked'],
    [[check(20), check(1)], 32, 'checked'],
    [[check(1), check(5, false)], 6, 'failed'],
    [[check(1), check(5, false), check(6)], 7, 'checked'],
    [[check(9)], 5, 'never'],
  ] as const)('checks %j on day %d: %s', (checks, day, state) =>
    expect(stateAt(checks, 30, day * MS_PER_DAY).state).toBe(state),
  )
})

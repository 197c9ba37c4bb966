import { describe, expect, it } from 'vitest'
import { MS_PER_MINUTE } from '../units/quantities'
import { happenedMs } from './happened'

const NOW = 1_800_000_000_000

describe('when it happened', () => {
  it('now, and so many minutes ago', () => {
    expect(happenedMs({ told: 'now' }, NOW)).toBe(NOW)
    expect(happenedMs({ told: 'ago', minutes: 20 }, NOW)).toBe(NOW - 20 * MS_PER_MINUTE)
  })
  it('at an hour, which a clock may show a little early, and no later', () => {
    const at = (offset: number) => happenedMs({ told: 'at', atMs: NOW + offset }, NOW)
    expect(at(-5)).toBe(NOW - 5)
    expect(at(2 * MS_PER_MINUTE)).toBe(NOW)
    expect(at(2 * MS_PER_MINUTE + 1)).toBeNull()
  })
})

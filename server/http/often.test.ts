import { describe, expect, it } from 'vitest'
import { limiter } from './often'

describe('how often somebody asks', () => {
  const AT = 1_000_000
  it('is free up to so many times a minute, then says how long to wait, and begins anew', () => {
    const ask = limiter(3)
    expect([1, 2, 3].map(n => ask('a', AT + n))).toEqual([null, null, null])
    expect(ask('a', AT + 20_001)).toBe(40)
    expect(ask('a', AT + 60_001)).toBeNull()
  })
  it('is counted for each by itself', () => {
    const ask = limiter(1)
    expect([ask('a', AT), ask('b', AT), ask('a', AT + 1)]).toEqual([null, null, 60])
  })
})

import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '../units/quantities'
import { judgeColdSmoke, sessionsAbove, type ColdSession } from './cold-smoke'

const session = (hours: number, ...temperatures: number[]): ColdSession => ({
  fromMs: 0,
  toMs: hours * MS_PER_HOUR,
  readings: temperatures.map((tempC, i) => ({
    atMs: (i * hours * MS_PER_HOUR) / Math.max(1, temperatures.length - 1),
    tempC,
  })),
})

describe('time above a temperature', () => {
  it('counts a stretch by the warmer of its ends, and what nobody measured as warm', () => {
    expect(sessionsAbove([session(4, 4, 12, 4)], 5)).toBe(4 * MS_PER_HOUR)
    expect(sessionsAbove([session(4, 4, 4, 12)], 5)).toBe(2 * MS_PER_HOUR)
    expect(sessionsAbove([session(4)], 5)).toBe(4 * MS_PER_HOUR)
    expect(sessionsAbove([session(4, 4, 4)], 5)).toBe(0)
  })
  it('adds up over sessions', () =>
    expect(sessionsAbove([session(3, 20, 20), session(5, 20, 20)], 15)).toBe(8 * MS_PER_HOUR))
})

describe('a cold smoke', () => {
  it('is none without a session, short while it is, asked about when long, held when longer', () => {
    expect(judgeColdSmoke([], false).status).toBe('none')
    expect(judgeColdSmoke([session(20, 10, 10)], false).status).toBe('short')
    expect(judgeColdSmoke([session(30, 10, 10)], false).status).toBe('ask')
    expect(judgeColdSmoke([session(49, 10, 10)], false).status).toBe('hold')
    expect(judgeColdSmoke([session(9, 20, 20)], false).status).toBe('ask')
    expect(judgeColdSmoke([session(25, 20, 20)], false).status).toBe('hold')
  })
  it('over 25 °C is asked about after two hours, and never held for that alone', () =>
    expect(judgeColdSmoke([session(3, 27, 27)], false).status).toBe('ask'))
  it('with salt only any time above 4 °C holds it', () => {
    expect(judgeColdSmoke([session(5, 3.9, 3.9)], true).status).toBe('short')
    expect(judgeColdSmoke([session(5, 4.1, 4.1)], true).status).toBe('hold')
  })
})

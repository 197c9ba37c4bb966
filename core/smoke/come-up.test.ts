import { describe, expect, it } from 'vitest'
import { fahrenheitToCelsius, MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { comeUp, leftCold } from './come-up'
import { at } from '../fixtures/smoke-samples'

describe('come-up', () => {
  const cured = { saltOnly: false, coldUntilMs: null }
  const saltOnly = { saltOnly: true, coldUntilMs: null }
  /** A reading every 15 min, up a straight line from 10 to 54.4 °C. */
  const rising = (hours: number) =>
    at(
      Array.from({ length: hours * 4 + 1 }, (_, i) => ({
        minute: i * 15,
        coreC: 10 + ((fahrenheitToCelsius(130) - 10) * i) / (hours * 4),
      })),
    )
  it('6 h for cured pieces, 4 h for salt only', () => {
    expect(comeUp(rising(5.75), cured)).toMatchObject({ status: 'in_time' })
    expect(comeUp(rising(6.25), cured).status).toBe('late')
    expect(comeUp(rising(4.25), saltOnly).status).toBe('late')
    expect(comeUp(rising(5), cured).elapsedMs).toBeCloseTo(5 * MS_PER_HOUR, 6)
  })
  it('is late before the end when the time has run out', () =>
    expect(
      comeUp(
        at([
          { minute: 0, coreC: 12 },
          { minute: 400, coreC: 50 },
        ]),
        cured,
      ).status,
    ).toBe('late'))
  it('does not bind what stays under 30 °C', () =>
    expect(
      comeUp(
        at([
          { minute: 0, coreC: 4 },
          { minute: 600, coreC: 29 },
        ]),
        cured,
      ).status,
    ).toBe('not_bound'))
  it('a first reading of 66 °C after 3 h is 3 h where the place was cold, and not shown where nobody knows', () => {
    const first = at([{ minute: 180, coreC: 66 }])
    expect(comeUp(first, { saltOnly: false, coldUntilMs: 0 })).toMatchObject({
      status: 'in_time',
      elapsedMs: 3 * MS_PER_HOUR,
    })
    expect(comeUp(first, cured)).toMatchObject({ status: 'not_shown' })
    expect(comeUp(at([{ minute: 420, coreC: 66 }]), { saltOnly: false, coldUntilMs: 0 }).status).toBe('late')
  })
  it('ends at the first reading of 54.4 °C after a gap, and on the line over a short one', () => {
    expect(
      comeUp(
        at([
          { minute: 0, coreC: 10 },
          { minute: 31, coreC: 64.4 },
        ]),
        cured,
      ).elapsedMs,
    ).toBe(31 * MS_PER_MINUTE)
    expect(
      comeUp(
        at([
          { minute: 0, coreC: 10 },
          { minute: 30, coreC: 64.4 },
        ]),
        cured,
      ).elapsedMs / MS_PER_MINUTE,
    ).toBeCloseTo((30 * (fahrenheitToCelsius(130) - 10)) / 54.4, 6)
  })
  it('counts to the peak of a heat that is over, and to the last reading while it goes on', () => {
    const lukewarm = at([
      { minute: 0, coreC: 8 },
      { minute: 300, coreC: 50 },
      { minute: 400, coreC: 45 },
    ])
    expect(comeUp(lukewarm, { ...cured, ended: true })).toMatchObject({
      status: 'in_time',
      elapsedMs: 300 * MS_PER_MINUTE,
    })
    expect(comeUp(lukewarm, cured).status).toBe('late')
  })
  it('the later of the last cold reading and the cold place begins it', () => {
    const run = at([
      { minute: 0, coreC: 6 },
      { minute: 600, coreC: 12 },
      { minute: 780, coreC: 60 },
    ])
    expect(comeUp(run, cured).status).toBe('late')
    expect(comeUp(run, { saltOnly: false, coldUntilMs: 590 * MS_PER_MINUTE })).toMatchObject({
      status: 'in_time',
      elapsedMs: 190 * MS_PER_MINUTE,
    })
  })
  it('a place is cold enough when its readings cover the last hours', () => {
    const readings = (...points: [hour: number, tempC: number][]) =>
      points.map(([hour, tempC]) => ({ atMs: hour * MS_PER_HOUR, tempC }))
    expect(leftCold(readings([0, 3], [8, 4]), 10 * MS_PER_HOUR, 40)).toBe(true)
    expect(leftCold(readings([8, 4]), 10 * MS_PER_HOUR, 40)).toBe(false)
    expect(leftCold(readings([5, 4]), 10 * MS_PER_HOUR, 40)).toBe(true)
    expect(leftCold(readings([5, 4]), 10 * MS_PER_HOUR, 60)).toBe(false)
    expect(leftCold(readings([0, 3], [8, 12]), 10 * MS_PER_HOUR, 40)).toBe(false)
    expect(leftCold([], 10 * MS_PER_HOUR, 40)).toBe(false)
  })
})

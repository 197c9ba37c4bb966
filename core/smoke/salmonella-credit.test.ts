import { describe, expect, it } from 'vitest'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { fahrenheitToCelsius } from '../units/quantities'
import { p70Minutes, secondsFor65Log } from '../fixtures/lethality'
import { lethalityReached, salmonellaLog } from './salmonella-credit'
import { at } from '../fixtures/smoke-samples'

const held = (coreC: number, minutes: number) =>
  at(Array.from({ length: minutes + 1 }, (_, minute) => ({ minute, coreC })))

describe('Salmonella credit', () => {
  it.each(reference.lethality_6_5_log)('reference run %#', ({ readings, logReduction, p70Minutes: p70 }) => {
    expectRelative(salmonellaLog(at(readings)).at(-1)!, logReduction)
    expectRelative(p70Minutes(at(readings)).at(-1)!, p70)
  })
  it.each([
    [130, 112],
    [135, 36],
    [140, 12],
    [145, 4],
  ])('the printed table: %d °F takes %d min, rounded up', (tempF, minutes) =>
    expect(Math.ceil(secondsFor65Log(fahrenheitToCelsius(tempF)) / 60)).toBe(minutes),
  )
  it.each([
    [150, 67],
    [155, 22],
  ])('and %d °F %d s', (tempF, seconds) =>
    expect(Math.ceil(secondsFor65Log(fahrenheitToCelsius(tempF)) - 1e-9)).toBe(seconds),
  )
  it('agrees with brute force on a fine grid', () => {
    const run = at(reference.lethality_6_5_log[0]!.readings)
    let sum = 0
    for (let i = 1; i < run.length; i++) {
      const [a, b] = [run[i - 1]!, run[i]!]
      const steps = 20_000
      for (let k = 0; k < steps; k++) {
        const coreC = a.coreC + ((b.coreC - a.coreC) * (k + 0.5)) / steps
        if (coreC >= fahrenheitToCelsius(130))
          sum += ((6.5 / secondsFor65Log(coreC)) * (b.atMs - a.atMs)) / 1000 / steps
      }
    }
    expect(salmonellaLog(run).at(-1)! / sum).toBeCloseTo(1, 6)
  })
  it('credits nothing below 130 °F and nothing over a gap of more than 30 min', () => {
    expect(salmonellaLog(held(54, 600)).at(-1)).toBe(0)
    expect(
      salmonellaLog(
        at([
          { minute: 0, coreC: 65 },
          { minute: 31, coreC: 65 },
        ]),
      ).at(-1),
    ).toBe(0)
    expect(
      salmonellaLog(
        at([
          { minute: 0, coreC: 65 },
          { minute: 30, coreC: 65 },
        ]),
      ).at(-1),
    ).toBeGreaterThan(6.5)
  })
  it('does not care in how many straight pieces a line is cut', () => {
    const whole = at([
      { minute: 0, coreC: 40 },
      { minute: 30, coreC: 66 },
    ])
    const cut = at(Array.from({ length: 31 }, (_, minute) => ({ minute, coreC: 40 + (26 * minute) / 30 })))
    expectRelative(salmonellaLog(cut).at(-1)!, salmonellaLog(whole).at(-1)!)
  })
  it('is reached by holding, or at once at 70 °C', () => {
    expect(lethalityReached(held(fahrenheitToCelsius(150), 1))).toBe(false)
    expect(lethalityReached(held(fahrenheitToCelsius(150), 2))).toBe(true)
    expect(lethalityReached(held(70, 0))).toBe(true)
    expect(lethalityReached([])).toBe(false)
  })
})

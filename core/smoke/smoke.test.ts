import { describe, expect, it } from 'vitest'
import { coolingRuleFor, COOLING_RULES, judgeCooling } from '../cooling/cooling'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { fahrenheitToCelsius, MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { comeUp } from './come-up'
import { lethalityReached, p70Minutes, salmonellaLog, secondsFor65Log } from './salmonella-credit'
import { outcomeOf } from './outcome'

const at = (points: readonly { minute: number, coreC: number }[]) =>
  points.map(p => ({ atMs: p.minute * MS_PER_MINUTE, coreC: p.coreC }))
const held = (coreC: number, minutes: number) => at(Array.from({ length: minutes + 1 }, (_, minute) => ({ minute, coreC })))

describe('Salmonella credit', () => {
  it.each(reference.lethality_6_5_log)('reference run %#', ({ readings, logReduction, p70Minutes: p70 }) => {
    expectRelative(salmonellaLog(at(readings)).at(-1)!, logReduction)
    expectRelative(p70Minutes(at(readings)).at(-1)!, p70)
  })
  it.each([[130, 112], [135, 36], [140, 12], [145, 4]])('the printed table: %d °F takes %d min, rounded up', (tempF, minutes) =>
    expect(Math.ceil(secondsFor65Log(fahrenheitToCelsius(tempF)) / 60)).toBe(minutes))
  it.each([[150, 67], [155, 22]])('and %d °F %d s', (tempF, seconds) =>
    expect(Math.ceil(secondsFor65Log(fahrenheitToCelsius(tempF)) - 1e-9)).toBe(seconds))
  it('agrees with brute force on a fine grid', () => {
    const run = at(reference.lethality_6_5_log[0]!.readings)
    let sum = 0
    for (let i = 1; i < run.length; i++) {
      const [a, b] = [run[i - 1]!, run[i]!]
      const steps = 20_000
      for (let k = 0; k < steps; k++) {
        const coreC = a.coreC + (b.coreC - a.coreC) * (k + 0.5) / steps
        if (coreC >= fahrenheitToCelsius(130)) sum += 6.5 / secondsFor65Log(coreC) * (b.atMs - a.atMs) / 1000 / steps
      }
    }
    expect(salmonellaLog(run).at(-1)! / sum).toBeCloseTo(1, 6)
  })
  it('credits nothing below 130 °F and nothing over a gap of more than 30 min', () => {
    expect(salmonellaLog(held(54, 600)).at(-1)).toBe(0)
    expect(salmonellaLog(at([{ minute: 0, coreC: 65 }, { minute: 31, coreC: 65 }])).at(-1)).toBe(0)
    expect(salmonellaLog(at([{ minute: 0, coreC: 65 }, { minute: 30, coreC: 65 }])).at(-1)).toBeGreaterThan(6.5)
  })
  it('does not care in how many straight pieces a line is cut', () => {
    const whole = at([{ minute: 0, coreC: 40 }, { minute: 30, coreC: 66 }])
    const cut = at(Array.from({ length: 31 }, (_, minute) => ({ minute, coreC: 40 + 26 * minute / 30 })))
    expectRelative(salmonellaLog(cut).at(-1)!, salmonellaLog(whole).at(-1)!)
  })
  it('is reached by holding, or at once at 70 °C', () => {
    expect(lethalityReached(held(fahrenheitToCelsius(150), 1))).toBe(false)
    expect(lethalityReached(held(fahrenheitToCelsius(150), 2))).toBe(true)
    expect(lethalityReached(held(70, 0))).toBe(true)
    expect(lethalityReached([])).toBe(false)
  })
})

describe('come-up', () => {
  const rising = (hours: number) => at([{ minute: 0, coreC: 10 }, { minute: hours * 60, coreC: fahrenheitToCelsius(130) }])
  it('6 h for cured pieces, 4 h for salt only', () => {
    expect(comeUp(rising(5.9), false)).toMatchObject({ status: 'in_time' })
    expect(comeUp(rising(6.1), false).status).toBe('late')
    expect(comeUp(rising(4.1), true).status).toBe('late')
    expect(comeUp(rising(5), false).elapsedMs).toBeCloseTo(5 * MS_PER_HOUR, 6)
  })
  it('is late before the end when the time has run out', () =>
    expect(comeUp(at([{ minute: 0, coreC: 12 }, { minute: 400, coreC: 50 }]), false).status).toBe('late'))
  it('waits for a warm core', () => expect(comeUp(at([{ minute: 0, coreC: 4 }]), false).status).toBe('not_started'))
})

describe('cooling', () => {
  it.each(reference.cooling)('reference curve %#', (c) => {
    const run = at(c.readings)
    const cured = judgeCooling(run, COOLING_RULES.cured)
    const uncured = judgeCooling(run, COOLING_RULES.not_cured)
    expectRelative(cured.startMs! / MS_PER_MINUTE, c.at130F)
    expectRelative(cured.middleMs! / MS_PER_MINUTE, c.at80F)
    expectRelative(cured.endMs! / MS_PER_MINUTE, c.at45F)
    expectRelative(uncured.endMs! / MS_PER_MINUTE, c.at40F)
    expect(cured.status === 'in_time').toBe(c.curedPasses)
    expect(uncured.status === 'in_time').toBe(c.uncuredPasses)
  })
  it('the lot\'s own ppm selects the rule', () => {
    expect(coolingRuleFor(100).id).toBe('cured')
    expect(coolingRuleFor(99.9).id).toBe('not_cured')
    expect(coolingRuleFor(null).id).toBe('not_cured')
  })
  it('warming up again counts until it stays below', () => {
    const again = at([{ minute: 0, coreC: 60 }, { minute: 60, coreC: 20 }, { minute: 120, coreC: 30 }, { minute: 240, coreC: 6 }])
    expect(judgeCooling(again, COOLING_RULES.cured).middleMs! / MS_PER_MINUTE).toBeGreaterThan(120)
  })
  it('says late while it is still warm', () => {
    expect(judgeCooling(at([{ minute: 0, coreC: 60 }, { minute: 460, coreC: 40 }]), COOLING_RULES.cured).status).toBe('late_first')
    expect(judgeCooling(at([{ minute: 0, coreC: 60 }]), COOLING_RULES.cured).status).toBe('under_way')
    expect(judgeCooling([], COOLING_RULES.cured).status).toBe('no_reading')
  })
})

it('the outcome follows the hottest core', () => {
  expect(outcomeOf(28)).toBe('raw_smoked')
  expect(outcomeOf(63)).toBe('heat_treated')
})

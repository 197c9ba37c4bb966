import { COOLING_MIDDLE_C, COOLING_RULES, KILL_FROM_C } from '../rules/guideline'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coolingRuleFor, judgeCooling } from './cooling'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { at } from '../fixtures/smoke-samples'

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
    const again = at([
      { minute: 0, coreC: 60 },
      { minute: 60, coreC: 20 },
      { minute: 120, coreC: 30 },
      { minute: 240, coreC: 6 },
    ])
    expect(judgeCooling(again, COOLING_RULES.cured).middleMs! / MS_PER_MINUTE).toBeGreaterThan(120)
  })
  it('says late while it is still warm', () => {
    expect(
      judgeCooling(
        at([
          { minute: 0, coreC: 60 },
          { minute: 20, coreC: 54 },
          { minute: 460, coreC: 40 },
        ]),
        COOLING_RULES.cured,
      ).status,
    ).toBe('late_first')
    expect(judgeCooling(at([{ minute: 0, coreC: 60 }]), COOLING_RULES.cured).status).toBe('under_way')
    expect(judgeCooling([], COOLING_RULES.cured).status).toBe('no_reading')
  })
  it('a night without readings shows nothing', () => {
    const night = at([
      { minute: 0, coreC: 63 },
      { minute: 600, coreC: 5 },
    ])
    expect(judgeCooling(night, COOLING_RULES.cured)).toMatchObject({
      status: 'not_shown_first',
      first: { shortestMs: 0, longestMs: 10 * MS_PER_HOUR },
    })
    // Seen at 26 °C before leaving, and cold within ten hours of the last reading above 26.7: shown.
    const seen = [
      ...at([
        { minute: 0, coreC: 63 },
        { minute: 120, coreC: 40 },
        { minute: 220, coreC: 28 },
        { minute: 240, coreC: 26 },
      ]),
    ]
    expect(judgeCooling([...seen, ...at([{ minute: 820, coreC: 6 }])], COOLING_RULES.cured).status).toBe('in_time')
    expect(judgeCooling([...seen, ...at([{ minute: 860, coreC: 6 }])], COOLING_RULES.cured).status).toBe(
      'not_shown_second',
    )
    expect(judgeCooling([...seen, ...at([{ minute: 860, coreC: 8 }])], COOLING_RULES.cured).status).toBe('late_second')
  })
  it('whatever the readings leave out, the truth lies between shortest and longest', () => {
    // A true curve of exponential cooling, read at any times: its own stages are never outside what the readings allow.
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 1500 }), { minLength: 1, maxLength: 30 }),
        fc.double({ min: 0.002, max: 0.03, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (minutes, rate, errorC) => {
          const trueC = (minute: number) => 2 + 63 * Math.exp(-rate * minute)
          const when = (tempC: number) => (Math.log(63 / (tempC - 2)) / rate) * MS_PER_MINUTE
          const run = [0, ...minutes.toSorted((a, b) => a - b)].map(minute => ({
            atMs: minute * MS_PER_MINUTE,
            coreC: trueC(minute),
          }))
          const { first, second } = judgeCooling(run, COOLING_RULES.cured, errorC)
          const [trueFirst, trueSecond] = [
            when(COOLING_MIDDLE_C) - when(KILL_FROM_C),
            when(COOLING_RULES.cured.endC) - when(COOLING_MIDDLE_C),
          ]
          // Over at most 30 min the straight line stands in, which is off by no more than that.
          const slackMs = 30 * MS_PER_MINUTE
          expect(first.shortestMs).toBeLessThanOrEqual(trueFirst + slackMs)
          if (first.longestMs !== null) expect(first.longestMs).toBeGreaterThanOrEqual(trueFirst - slackMs)
          expect(second.shortestMs).toBeLessThanOrEqual(trueSecond + slackMs)
          if (second.longestMs !== null) expect(second.longestMs).toBeGreaterThanOrEqual(trueSecond - slackMs)
        },
      ),
    )
  })
  it('the thermometer\'s error counts against the shop', () => {
    // 26.9 °C may be 26.4 or 27.4: neither above nor below 26.7 for certain.
    const doubtful = at([
      { minute: 0, coreC: 60 },
      { minute: 20, coreC: 54 },
      { minute: 310, coreC: 26.9 },
      { minute: 400, coreC: 20 },
      { minute: 700, coreC: 5 },
    ])
    expect(judgeCooling(doubtful, COOLING_RULES.cured, 0.5).first.shortestMs).toBeLessThan(
      judgeCooling(doubtful, COOLING_RULES.cured, 0).first.shortestMs,
    )
  })
})

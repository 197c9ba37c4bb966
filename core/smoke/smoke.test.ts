import { COOLING_MIDDLE_C, COOLING_RULES, KILL_FROM_C } from '../rules/guideline'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coolingRuleFor, judgeCooling } from '../cooling/cooling'
import { expectRelative } from '../fixtures/expect-relative'
import reference from '../fixtures/reference.json'
import { fahrenheitToCelsius, MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { comeUp, leftCold } from './come-up'
import { judgeHeats, type Heat, type HeatsQuestion } from './heats'
import { p70Minutes, secondsFor65Log } from '../fixtures/lethality'
import { lethalityReached, salmonellaLog } from './salmonella-credit'
import { outcomeOf } from './outcome'

const at = (points: readonly { minute: number; coreC: number }[]) =>
  points.map(p => ({ atMs: p.minute * MS_PER_MINUTE, coreC: p.coreC }))
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

describe('heats, one after another', () => {
  const heat = (
    code: string,
    smoke: [number, number][],
    cool: [number, number][] = [],
    more: Partial<Heat> = {},
  ): Heat => ({
    code,
    startedAtMs: smoke[0]![0] * MS_PER_MINUTE,
    pulledAtMs: (smoke.at(-1)![0] + 1) * MS_PER_MINUTE,
    targetC: 63,
    coldUntilMs: smoke[0]![0] * MS_PER_MINUTE,
    chamber: [],
    smoke: at(smoke.map(([minute, coreC]) => ({ minute, coreC }))),
    cool: at(cool.map(([minute, coreC]) => ({ minute, coreC }))),
    ...more,
  })
  const judge = (heats: Heat[], more: Partial<HeatsQuestion> = {}) =>
    judgeHeats({ heats, rule: COOLING_RULES.cured, saltOnly: false, errorC: 0, nowMs: 1e9, ...more })
  const GOOD: [number, number][] = [
    [210, 50],
    [300, 30],
    [330, 26],
    [700, 6],
  ]
  it('one that was cooled in time', () => {
    const found = judge([
      heat(
        'S-1',
        [
          [0, 8],
          [120, 50],
          [150, 60],
          [180, 64],
        ],
        GOOD,
      ),
    ])
    expect(found.comeUps.map(one => one.status)).toEqual(['in_time'])
    expect(found.coolings.map(one => [one.code, one.status])).toEqual([['S-1', 'in_time']])
    expect(found.coolingOpen).toEqual([])
  })
  it('a glaze between two heats is no cooling, and the second heat has no come-up of its own', () => {
    const found = judge([
      heat(
        'S-1',
        [
          [0, 8],
          [150, 60],
        ],
        [[170, 45]],
      ),
      heat(
        'S-2',
        [
          [200, 40],
          [240, 66],
        ],
        [
          [270, 50],
          [400, 26],
          [800, 6],
        ],
      ),
    ])
    expect(found.comeUps.map(one => one.code)).toEqual(['S-1'])
    expect(found.coolings.map(one => [one.code, one.status])).toEqual([['S-2', 'in_time']])
  })
  it('a bath chilled overnight is judged by itself, though the slab is smoked next day', () => {
    const found = judge([
      heat(
        'S-1',
        [
          [0, 8],
          [150, 65],
        ],
        [[180, 50]],
      ),
      heat(
        'S-2',
        [
          [1200, 8],
          [1320, 60],
        ],
        [
          [1350, 40],
          [1500, 26],
          [1900, 5],
        ],
      ),
    ])
    expect(found.coolings.map(one => [one.code, one.status])).toEqual([
      ['S-1', 'not_shown_first'],
      ['S-2', 'in_time'],
    ])
    expect(found.comeUps.map(one => one.code)).toEqual(['S-1', 'S-2'])
  })
  it('a heat followed by another blocks nothing by itself; the last one does until it is cold', () => {
    const first = heat('S-1', [
      [0, 8],
      [150, 60],
    ])
    expect(judge([first]).coolingOpen).toEqual(['S-1'])
    expect(
      judge([
        first,
        heat('S-2', [
          [200, 40],
          [240, 66],
        ]),
      ]).coolingOpen,
    ).toEqual(['S-2'])
    expect(
      judge([
        first,
        heat(
          'S-2',
          [
            [200, 40],
            [240, 66],
          ],
          [
            [270, 50],
            [400, 26],
            [800, 6],
          ],
        ),
      ]).coolingOpen,
    ).toEqual([])
  })
  it('one that peaked under 54.4 °C begins its cooling at the peak, and its lukewarm hours count up and down', () => {
    const slow = judge([
      heat(
        'S-1',
        [
          [0, 8],
          [60, 20],
          [200, 50],
          [260, 53],
        ],
        [
          [300, 50],
          [480, 30],
          [560, 20],
          [800, 6],
        ],
      ),
    ])
    expect(slow.coolings[0]).toMatchObject({ code: 'S-1', status: 'in_time', startMs: 260 * MS_PER_MINUTE })
    // 60 to 200 up; 300 to 560 down: 400 min between 20 and 50 °C, over six hours.
    expect(slow.lukewarm).toEqual([{ code: 'S-1', ms: 400 * MS_PER_MINUTE, allowedMs: 6 * MS_PER_HOUR }])
    const quick = judge([
      heat(
        'S-1',
        [
          [0, 8],
          [60, 20],
          [120, 50],
          [150, 53],
        ],
        [
          [180, 50],
          [300, 26],
          [330, 20],
          [600, 6],
        ],
      ),
    ])
    expect(quick.lukewarm).toEqual([])
    expect(
      judge(
        [
          heat(
            'S-1',
            [
              [0, 8],
              [60, 20],
              [120, 50],
              [150, 53],
            ],
            [
              [180, 50],
              [300, 26],
              [360, 20],
              [600, 6],
            ],
          ),
        ],
        { saltOnly: true },
      ).lukewarm,
    ).toEqual([])
  })
  it('a smoke under 30 °C is a cold smoke: no come-up, no cooling, its hours over all sessions', () => {
    const session = (code: string, from: number, to: number, tempC: number) =>
      heat(code, [[from, 8]], [], {
        smoke: [],
        targetC: 25,
        pulledAtMs: to * MS_PER_MINUTE,
        chamber: [{ atMs: from * MS_PER_MINUTE, tempC }],
      })
    const six = (n: number, tempC: number) =>
      Array.from({ length: n }, (_, i) => session(`S-${i}`, i * 1440, i * 1440 + 360, tempC))
    expect(judge(six(2, 12))).toMatchObject({ comeUps: [], coolings: [], coolingOpen: [], cold: { status: 'short' } })
    expect(judge(six(5, 12)).cold.status).toBe('ask')
    expect(judge(six(9, 12)).cold.status).toBe('hold')
    expect(judge(six(2, 17)).cold.status).toBe('ask')
    expect(judge(six(5, 17)).cold.status).toBe('hold')
    expect(judge(six(1, 26)).cold.status).toBe('ask')
    expect(judge(six(1, 3), { saltOnly: true }).cold.status).toBe('short')
    expect(judge(six(1, 6), { saltOnly: true }).cold.status).toBe('hold')
    // Nobody measured: all of it counts as warm.
    expect(
      judge([heat('S-0', [[0, 8]], [], { smoke: [], targetC: 25, pulledAtMs: 3 * MS_PER_HOUR })]).cold.status,
    ).toBe('ask')
  })
  it('cold, then hot: over 6 h above 10 °C in all is told', () => {
    const cold = (hours: number) =>
      heat('S-1', [[0, 8]], [], {
        smoke: [],
        targetC: 25,
        pulledAtMs: hours * MS_PER_HOUR,
        chamber: [{ atMs: 0, tempC: 18 }],
      })
    const hot = heat(
      'S-2',
      [
        [600, 10],
        [720, 60],
      ],
      [
        [750, 40],
        [900, 26],
        [1300, 5],
      ],
    )
    expect(judge([cold(5), hot]).coldThenHotMs).toBeGreaterThan(6 * MS_PER_HOUR)
    expect(judge([cold(3), hot]).coldThenHotMs).toBeNull()
    expect(judge([hot]).coldThenHotMs).toBeNull()
  })
})

it('the outcome follows the hottest core', () => {
  expect(outcomeOf(28)).toBe('raw_smoked')
  expect(outcomeOf(63)).toBe('heat_treated')
})

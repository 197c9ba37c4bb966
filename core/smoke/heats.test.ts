import { COOLING_RULES } from '../rules/guideline'
import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { judgeHeats, type Heat, type HeatsQuestion } from './heats'
import { at } from '../fixtures/smoke-samples'

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

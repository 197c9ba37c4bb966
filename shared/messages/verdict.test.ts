import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { SHIPPED_RULES } from '#core/rules/sets/all-rules'
import { DEFAULT_NOTATION } from '#core/units/format'
import { judgeLot, type JudgeQuestion } from '../judging/judge-lot'
import { doubtWords, heldWords, ruleWords, standingWords, verdictWords } from './verdict'

const set = (id: string) => SHIPPED_RULES.find(rules => rules.id === id)!
const US_NOTATION = { mass: 'us', temperature: 'F', decimal: '.', dates: 'mdy' } as const
const COMMA = { ...DEFAULT_NOTATION, decimal: ',' as const }
const judge = (more: Partial<JudgeQuestion> = {}) =>
  judgeLot({
    rules: set('us'),
    cut: 'belly',
    rind: 'off',
    method: 'dry',
    confirmed: null,
    pieces: [{ massG: 1840, readings: 1 }],
    meatReadabilityG: 5,
    mixReadabilityG: 0.1,
    agent: CURING_SALT_NO_1,
    agentG: 4.4,
    mixG: 62.8,
    ...more,
  })!
const words = (more: Partial<JudgeQuestion> = {}, as = DEFAULT_NOTATION) => verdictWords(judge(more), as, 0.1)

describe('where more went on some pieces alone', () => {
  const two = { pieces: [{ massG: 1840, readings: 1 as const }, { massG: 2000, readings: 1 as const }], agentG: 9.2, mixG: 140 }
  const put = { agent: CURING_SALT_NO_1, agentG: 2, agentReadings: 1, mixG: 2, readabilityG: 0.1, pieces: [1] }
  it('those that decide are named, with their own figure, and nothing is to be taken off again', () => {
    const judged = judge({ ...two, adds: [put] })
    expect(judged).toMatchObject({ status: 'above_limit', decides: [2] })
    expect(judged.lot!.ppm).toBeCloseTo((1e6 * 0.0625 * ((9.2 * 2000) / 3840 + 2)) / 2000, 9)
    expect(words({ ...two, adds: [put] })).toMatch(/^Piece 2: 212 ppm, limit 200 ppm for rind-off belly, dry cure\.$/)
  })
  it('a lot alike all over names none', () => {
    expect(judge({ ...two, adds: [{ ...put, agentG: 0.2, pieces: null }] })).not.toHaveProperty('decides')
  })
  it('what nobody weighed is said as the least, of those pieces', () => {
    expect(judge({ ...two, unweighed: [0] })).toMatchObject({ status: 'limit_not_shown', meaning: 'open', decides: [1] })
    expect(words({ ...two, unweighed: [0] })).toMatch(/^Piece 1: at least 14\d ppm, and more went on that nobody weighed: /)
    expect(words({ ...two, unweighed: [0] })).toMatch(/: the limit of 200 ppm .* is not shown\./)
    // A salt box has no least.
    expect(words({ ...two, method: 'excess', unweighed: [0, 1] })).toContain('How much is not known')
    expect(doubtWords(judge({ ...two, unweighed: [0] }), DEFAULT_NOTATION)).toBe('')
  })
})

it('what is held once it is rubbed says so at the Bench: 125 ppm, which may be 119', () => {
  const planned = judge({ agentG: 3.7 })
  expect(planned.status).toBe('floor_not_shown')
  expect(heldWords(planned)).toMatch(/held: no heat, no slicing and no sending until the owner decides/)
  expect([{}, { agentG: 6.4 }].map(more => heldWords(judge(more)))).toEqual(['', ''])
})

describe('the verdict in words: the number, the rule, what to do', () => {
  it.each<[string, Partial<JudgeQuestion>, RegExp]>([
    ['inside', {}, /^149 ppm, inside 120 ppm to 200 ppm for rind-off belly, dry cure\.$/],
    [
      'above the limit',
      { agentG: 6.4 },
      /^217 ppm, limit 200 ppm for rind-off belly, dry cure\. Take off \d\.\d g of curing salt or add \d+ g of meat\.$/,
    ],
    ['perhaps above', { agentG: 5.8 }, /^197 ppm, but it may be up to 2\d\d ppm; limit 200 ppm.* Take off 0\.\d g/],
    [
      'below the floor',
      { agentG: 3 },
      /^102 ppm, below the floor of 120 ppm \(FSIS Directive 7620\.3\): too little is a hazard too\. Add \d\.\d g of curing salt\.$/,
    ],
    [
      'perhaps below',
      { agentG: 3.6 },
      /^122 ppm, but it may be only 11\d ppm; floor 120 ppm \(FSIS Directive 7620\.3\)\. Add 0\.\d g of curing salt/,
    ],
    [
      'an upper bound',
      { method: 'excess' },
      /^Up to 149 ppm, limit 200 ppm for rind-off belly, dry cure\. What the meat took up is not known/,
    ],
    [
      'outside the shop\'s own',
      { house: { floorPpm: 155, maxPpm: 165 } },
      /^149 ppm, inside the law but not inside this shop's own limits \(from 155 ppm to 165 ppm\)\. Add 0\.\d g/,
    ],
    [
      'salt only',
      { agent: null, agentG: 0, method: 'salt_only' },
      /^Salt only: no nitrite\. Keep it at 4 °C or colder all the way, cook before eating\.$/,
    ],
  ])('%s', (_what, more, said) => expect(words(more)).toMatch(said))
  it('a figure just past its limit is not rounded onto it', () => {
    // On a scale so fine that only the figure counts.
    const fine = { meatReadabilityG: 0.001, mixReadabilityG: 0.001, agent: { ...CURING_SALT_NO_1, labelTolerance: 0 } }
    const forPpm = (ppm: number) => (ppm * 1840) / 62_500
    expect(words({ ...fine, agentG: forPpm(200.3) })).toMatch(/^200\.3 ppm, limit 200 ppm/)
    expect(words({ ...fine, agentG: forPpm(119.97) })).toMatch(/^119\.97 ppm, below the floor of 120 ppm/)
    expect(words({ ...fine, agentG: forPpm(149.6), house: { floorPpm: 150, maxPpm: null } })).toMatch(
      /^149\.6 ppm, inside the law but not inside/,
    )
    expect(words({ ...fine, mixReadabilityG: 0.01, agentG: forPpm(200) - 0.001 })).toMatch(
      /^200 ppm, but it may be up to 200\.\d+ ppm; limit 200 ppm/,
    )
    expect(words({ ...fine, method: 'excess', agentG: forPpm(200.3) }, COMMA)).toMatch(
      /^Up to 200,3 ppm, limit 200 ppm/,
    )
  })
  it('names where a floor of cooling stands', () =>
    expect(words({ rules: set('ca'), agentG: 2.5 })).toContain(
      'below the floor of 100 ppm (FSIS stabilization guideline (2021), for cooling as a cured product)',
    ))
  it('a wet cure asks for its own row', () =>
    expect(words({ method: 'wet_equilibrium', waterG: 900, agentG: 4.9, mixG: 100 })).toMatch(
      /inside 100 ppm to 120 ppm for rind-off belly, wet cure/,
    ))
  it('a limit on the ion is said both ways', () =>
    expect(ruleWords(judge({ rules: set('eu') }), DEFAULT_NOTATION)).toBe(
      '120 ppm (80 mg/kg as nitrite ion) for belly, dry cure',
    ))
  it('in the person\'s own units', () => {
    expect(words({ agentG: 6.4 }, US_NOTATION as never)).toMatch(/add \d+\.\d oz of meat/)
    expect(words({ agentG: 3 }, COMMA)).toMatch(/Add \d,\d g of curing salt/)
    expect(words({ agent: null, agentG: 0, method: 'salt_only' }, US_NOTATION as never)).toContain('39.2 °F')
  })
})

describe('what stands under every verdict', () => {
  it('whose law, which row, who confirmed it, and that the inspector decides', () => {
    expect(standingWords(judge(), DEFAULT_NOTATION)).toBe(
      'United States rules: 9 CFR 424.22(b); FSIS Directive 7620.3; not confirmed by this shop. '
      + 'An aid: your inspector and local code decide.',
    )
    expect(
      standingWords(judge({ confirmed: { by: 'Ada', on: '2026-11-03', reference: 'folder' } }), DEFAULT_NOTATION),
    ).toContain('confirmed by Ada on 3 Nov 2026.')
  })
  it('asks a laboratory where the law counts what is left', () => {
    expect(standingWords(judge({ rules: set('anz') }), DEFAULT_NOTATION)).toContain(
      'Before it goes out it must be shown what is left in the product, by its finished weight or by a laboratory (125 ppm at most).',
    )
    expect(standingWords(judge({ rules: set('eu') }), DEFAULT_NOTATION)).toContain(
      'what is left in the product, by its finished weight or by a laboratory.',
    )
    expect(standingWords(judge(), DEFAULT_NOTATION)).not.toContain('laboratory')
  })
  it('how far off it can be: the worst case holds the k = 2 range', () => {
    const { lot } = judge()
    expect(doubtWords(judge(), DEFAULT_NOTATION)).toBe(
      `At worst ${lot!.lowPpm.toFixed(0)} ppm to ${lot!.highPpm.toFixed(0)} ppm; ± ${lot!.expandedPpm.toFixed(1)} ppm (k = 2).`,
    )
    expect(lot!.expandedPpm).toBeLessThanOrEqual(Math.max(lot!.ppm - lot!.lowPpm, lot!.highPpm - lot!.ppm))
    expect(doubtWords(judge({ method: 'excess' }), DEFAULT_NOTATION)).toMatch(/^At worst up to 1\d\d ppm;/)
    expect(doubtWords(judge({ agent: null, agentG: 0, method: 'salt_only' }), DEFAULT_NOTATION)).toBe('')
  })
})

import { describe, expect, it } from 'vitest'
import { CUTS } from './cuts'
import { judgeNitrite } from './judge-nitrite'
import { choicesFor, floorOf, limitsFor, type LimitQuestion } from './limits'
import { SHIPPED_RULES } from './sets/all-rules'

const set = (id: string) => SHIPPED_RULES.find(rules => rules.id === id)!
const q = (id: string, more: Partial<LimitQuestion> = {}): LimitQuestion => ({
  rules: set(id),
  cut: 'belly',
  method: 'dry',
  rind: 'off',
  ...more,
})

describe('the rows that govern, as printed in the rule', () => {
  it.each([
    ['us', 'belly', 'dry', 'off', 200, 120],
    ['us', 'belly', 'dry', 'on', 180, 120],
    ['us', 'belly', 'immersion', 'off', 120, 100],
    ['us', 'belly', 'immersion', 'on', 108, 100],
    ['us', 'belly', 'pumped', 'off', 120, 120],
    ['us', 'loin', 'dry', 'on', 625, 120],
    ['us', 'shoulder', 'dry', 'off', 625, 120],
    ['us', 'jowl', 'immersion', 'off', 200, 120],
    ['us', 'other', 'dry', 'off', 625, 120],
    ['ca', 'belly', 'dry', 'off', 120, 100],
    ['ca', 'loin', 'immersion', 'off', 200, 100],
    ['ca', 'other', 'dry', 'on', 200, 100],
    ['uk', 'belly', 'dry', 'on', 150, 100],
    ['anz', 'belly', 'dry', 'off', 200, 100],
  ] as const)('%s %s, %s, rind %s: %d, floor %d', (id, cut, method, rind, maxPpm, floorPpm) =>
    expect(limitsFor(q(id, { cut, method, rind }))).toMatchObject({ maxPpm, floorPpm }),
  )
  it('80 mg/kg of the ion is 119.98 ppm as NaNO2', () => {
    const limits = limitsFor(q('eu'))!
    expect(limits.maxPpm).toBeCloseTo((80 * 68.995) / 46.005, 9)
    expect(limits.row).toMatchObject({ basis: 'ingoing_ion', maxPpm: 80 })
  })
  it('every row names its source, and every set has rows for every cut and method', () => {
    for (const rules of SHIPPED_RULES) {
      expect(rules.rows.every(row => row.source.length > 3)).toBe(true)
      for (const cut of CUTS) {
        for (const method of ['dry', 'immersion'] as const)
          expect(limitsFor({ rules, cut, method, rind: 'off' })).not.toBeNull()
      }
    }
  })
  it('says nothing where a set has no row', () =>
    expect(limitsFor({ ...q('us'), rules: { ...set('us'), rows: [] } })).toBeNull())
})

describe('the floor and where it stands', () => {
  const belly = { basis: 'ingoing_nano2', minPpm: null, source: 'row 7' } as const
  it('is the row\'s own, then its set\'s, then what cooling as a cured product asks', () => {
    expect(floorOf({ floorPpm: 90, floorSource: 'section 2' }, { ...belly, minPpm: 110 })).toEqual({
      ppm: 110,
      source: 'row 7',
    })
    expect(floorOf({ floorPpm: 90, floorSource: 'section 2' }, belly)).toEqual({ ppm: 90, source: 'section 2' })
    expect(floorOf({ floorPpm: null, floorSource: '' }, belly)).toMatchObject({
      ppm: 100,
      source: expect.stringContaining('FSIS stabilization guideline'),
    })
  })
  it('a row on the ion counts its least on the ion too: 80 mg/kg of the ion is not 80 ppm as NaNO2', () => {
    const ion = { ...set('eu').rows[0]!, minPpm: 80 }
    expect(limitsFor({ ...q('eu'), rules: { ...set('eu'), rows: [ion] } })!.floorPpm).toBeCloseTo(
      (80 * 68.995) / 46.005,
      9,
    )
  })
  it.each(SHIPPED_RULES.map(rules => [rules.id, rules] as const))(
    '%s: every floor names its source and leaves room under the limit',
    (_id, rules) => {
      for (const cut of ['belly', 'loin'] as const) {
        for (const method of ['dry', 'immersion'] as const) {
          for (const rind of ['on', 'off'] as const) {
            const limits = limitsFor({ rules, cut, method, rind })!
            expect(limits.floorSource.length).toBeGreaterThan(3)
            expect(limits.floorPpm).toBeLessThan(limits.maxPpm)
          }
        }
      }
    },
  )
})

describe('residual rows, nitrate and choices', () => {
  it('a residual row asks for a laboratory and leaves the house guard as maximum', () => {
    const limits = limitsFor(q('anz'))!
    expect(limits.residual.map(row => row.maxPpm)).toEqual([125])
    expect(limits.row.id).toBe('guard')
  })
  it('traditional dry-cured bacon is judged by what a laboratory finds, if so chosen', () => {
    expect(choicesFor(q('uk')).map(row => row.id)).toEqual(['uk-traditional'])
    expect(choicesFor(q('uk', { method: 'immersion' }))).toEqual([])
    expect(limitsFor(q('uk'))).toMatchObject({ maxPpm: 150, residual: [] })
    expect(limitsFor(q('uk', { choiceId: 'uk-traditional' }))).toMatchObject({
      maxPpm: 200,
      residual: [{ maxPpm: 175 }],
    })
  })
  it('nitrate: none in bacon, some in other cuts, none where no row speaks of it', () => {
    expect(
      [
        limitsFor(q('us'))!,
        limitsFor(q('us', { cut: 'loin' }))!,
        limitsFor(q('us', { cut: 'loin', method: 'immersion' }))!,
        limitsFor(q('ca'))!,
      ].map(l => l.nitrateMaxPpm),
    ).toEqual([0, 2187, 700, 0])
  })
})

describe('meanings and house limits in the verdict', () => {
  const got = (ppm: number, half = 5) => ({ ppm, lowPpm: ppm - half, highPpm: ppm + half, expandedPpm: half })
  const LAW = { floorPpm: 120, maxPpm: 200 }
  it('an upper bound inside is said to be no more than that', () => {
    expect(judgeNitrite(got(150), LAW, 'upper_bound')).toBe('up_to')
    expect(judgeNitrite({ ...got(198), lowPpm: 0 }, LAW, 'upper_bound')).toBe('limit_not_shown')
    expect(judgeNitrite({ ...got(100), lowPpm: 0 }, LAW, 'upper_bound')).toBe('below_floor')
  })
  it('the shop\'s stricter limits come after the law\'s', () => {
    const house = { floorPpm: 130, maxPpm: 165 }
    expect([125.5, 140, 170, 201].map(ppm => judgeNitrite(got(ppm), { ...LAW, house }))).toEqual([
      'outside_house',
      'inside',
      'outside_house',
      'above_limit',
    ])
  })
})

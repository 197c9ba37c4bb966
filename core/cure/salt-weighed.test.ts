import { LEAST_MEASURED_SALT_SHARE, MOST_MEASURED_SALT_SHARE } from '../rules/house'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { residualBound } from '../rules/residual-bound'
import { parseLength } from '../units/parse-length'
import { judgeSalt } from './salt-weighed'

const GREEN_G = 1000
const judge = (weighedG: number, method: Parameters<typeof judgeSalt>[0]['method'] = 'dry') =>
  judgeSalt({ method, plannedG: 25, weighedG, plannedShare: 0.025 }).status

describe('salt as weighed, beside 25 g planned on 1 kg', () => {
  it.each([
    [25, 'as_planned'],
    [20.1, 'as_planned'],
    [29.9, 'as_planned'],
    [19.9, 'off'],
    [30.1, 'off'],
    [10.1, 'off'],
    [59.9, 'off'],
    [9.9, 'slip'],
    [60.1, 'slip'],
    [0.5, 'slip'],
    [250, 'slip'],
  ] as const)('%d g: %s', (weighedG, status) => expect(judge(weighedG)).toBe(status))
  it('an excess cure puts more on than stays, and is only asked about', () => expect(judge(250, 'excess')).toBe('off'))
  it('is a share of what it is counted over, whatever the plan', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 300, noNaN: true }),
        (plannedG, weighedG) => {
          const { share, status } = judgeSalt({ method: 'dry', plannedG, weighedG, plannedShare: plannedG / GREEN_G })
          expect(share).toBeCloseTo(weighedG / GREEN_G, 9)
          expect(status === 'slip').toBe(share < LEAST_MEASURED_SALT_SHARE || share > MOST_MEASURED_SALT_SHARE)
        },
      ),
    )
  })
})

describe('residual nitrite by mass balance', () => {
  const bound = (highPpm: number, yieldShare: number | null, maxPpm: number | null) =>
    residualBound({
      nitriteHighG: (highPpm * GREEN_G) / 1e6,
      greenG: GREEN_G,
      finishedLowG: yieldShare === null ? null : yieldShare * GREEN_G,
      maxPpm,
    })
  it('157 ppm at worst and 85 % leave at most 184.7 ppm: under 200 without a test, not under 175', () => {
    expect(bound(157, 0.85, 200)).toMatchObject({ ppm: expect.closeTo(184.7, 1), proved: true })
    expect(bound(157, 0.85, 175).proved).toBe(false)
    expect(bound(157, 0.85, 200).leastYield).toBeCloseTo(0.785, 3)
    expect(bound(157, 0.85, 175).leastYield).toBeCloseTo(0.897, 3)
  })
  it('dried belly never passes, and nothing does without a weight or a figure', () => {
    for (const share of [0.6, 0.65, 0.7]) expect(bound(157, share, 200).proved).toBe(false)
    expect(bound(157, null, 200)).toMatchObject({ ppm: null, proved: false })
    expect(bound(157, 0.9, null)).toMatchObject({ leastYield: null, proved: false })
  })
  it('conserves nitrite: the bound times what is left is what went in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 0.3, max: 1.1, noNaN: true }),
        (highPpm, share) => {
          expect(bound(highPpm, share, 200).ppm! * share).toBeCloseTo(highPpm, 6)
        },
      ),
    )
  })
})

describe('thickness as people write it', () => {
  const range = { minMm: 5, maxMm: 200 }
  it.each([
    ['40', 'mm', 40],
    ['40 mm', 'in', 40],
    ['4 cm', 'mm', 40],
    ['1.5', 'in', 38.1],
    ['1 1/2 in', 'mm', 38.1],
    ['1 5/8"', 'mm', 41.275],
    ['1,6 inches', 'in', 40.64],
  ] as const)('%s (bare is %s)', (typed, bare, mm) => {
    const found = parseLength(typed, bare, range)
    expect(found.ok && found.value).toBeCloseTo(mm, 9)
  })
  it.each([
    ['40', 'in', 'length_range'],
    ['1.6', 'mm', 'length_range'],
    ['', 'mm', 'empty'],
    ['thick', 'mm', 'not_a_length'],
    ['4 feet', 'mm', 'not_a_length'],
  ] as const)('%s (bare is %s) is refused: %s', (typed, bare, code) =>
    expect(parseLength(typed, bare, range)).toMatchObject({ ok: false, code }),
  )
})

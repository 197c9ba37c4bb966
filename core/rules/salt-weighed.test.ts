import { LEAST_MEASURED_SALT_SHARE, MOST_MEASURED_SALT_SHARE } from './house'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judgeSalt } from './salt-weighed'
import { GREEN_G } from '../fixtures/salt-weighed-samples'

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

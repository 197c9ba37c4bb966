import { describe, expect, it } from 'vitest'
import { problemOf } from './words'

describe('a problem in words', () => {
  it('says once that nothing was kept', () => {
    const figures = {
      ...{ code: 'L-0001', zone: 'UTC', why: 'out_of_cure', mend: 'other_time', unfit: '' },
      ...{ first: 'out', firstMs: 0, second: 'turn', secondMs: 1 },
    }
    for (const { detail } of [problemOf(422, 'step_contradicts', figures), problemOf(409, 'already_open', { code: 'L-0001' })])
      expect(detail.match(/Nothing was (saved|recorded)/g)).toHaveLength(1)
  })
})

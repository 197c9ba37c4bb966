import { describe, expect, it } from 'vitest'
import { overBrought } from './over-brought'

describe('more out than was brought to the slicing table', () => {
  it.each([
    // 1 % of 2,000 g is 20 g, 5 % is 100 g.
    [2000, 1990, 0, 'fits'],
    [2000, 2020, 0, 'fits'],
    [2000, 2021, 0, 'asked'],
    [2000, 2100, 0, 'asked'],
    [2000, 2101, 0, 'refused'],
    // Many small packs on a coarse scale: the readings allow more than 1 %, and more than 5 %.
    [2000, 2045, 50, 'fits'],
    [2000, 2055, 50, 'asked'],
    [400, 425, 26, 'fits'],
    [400, 427, 26, 'refused'],
  ] as const)('of %i g, %i g with readings off by %i g at most: %s', (broughtG, outG, worstG, answer) => {
    expect(overBrought({ broughtG, outG, worstG })).toBe(answer)
  })
})

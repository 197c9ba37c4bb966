import { describe, expect, it } from 'vitest'
import { MS_PER_MINUTE } from '../units/quantities'
import { judgeFridge, longestAbove } from './excursion'

const run = (...points: [minute: number, tempC: number][]) =>
  points.map(([minute, tempC]) => ({ atMs: minute * MS_PER_MINUTE, tempC }))

describe('a fridge that runs warm', () => {
  it('measures the time above by straight lines', () => {
    const found = longestAbove(run([0, 2], [60, 8], [120, 2]), 5)!
    expect((found.toMs - found.fromMs) / MS_PER_MINUTE).toBeCloseTo(60, 9)
    expect(longestAbove(run([0, 2], [60, 3]), 5)).toBeNull()
  })
  it('takes the longest of several', () => {
    const found = longestAbove(run([0, 6], [10, 4], [20, 6], [60, 6], [70, 4]), 5)!
    expect((found.toMs - found.fromMs) / MS_PER_MINUTE).toBeCloseTo(50, 9)
  })
  it.each([
    [
      [
        [0, 3],
        [600, 3.4],
      ],
      'cold_enough',
    ],
    [
      [
        [0, 3],
        [20, 5],
      ],
      'warm',
    ],
    [
      [
        [0, 5],
        [31, 5],
        [40, 3],
      ],
      'warm',
    ],
    [
      [
        [0, 5],
        [20, 5],
        [21, 3],
      ],
      'cold_enough',
    ],
    [
      [
        [0, 8],
        [121, 8],
        [150, 3],
      ],
      'hold',
    ],
    [
      [
        [0, 8],
        [119, 8],
      ],
      'warm',
    ],
    [[[0, -1.4]], 'too_cold'],
    [[], 'no_reading'],
  ] as [[number, number][], string][])('%j: %s', (points, verdict) => expect(judgeFridge(run(...points))).toBe(verdict))
})

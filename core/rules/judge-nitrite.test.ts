import { describe, expect, it } from 'vitest'
import { forbidsRubbing, holdsLot, judgeNitrite } from './judge-nitrite'
import { cure, BELLY, verdict } from '../fixtures/judge-nitrite-samples'

describe('the verdict', () => {
  it.each([
    [1840, 4.4, 0.1, 'inside'],
    [1840, 6.3, 0.1, 'above_limit'],
    [1840, 5.8, 0.1, 'limit_not_shown'],
    [1840, 2.9, 0.1, 'below_floor'],
    [1840, 4, 1, 'floor_not_shown'],
  ] as const)('%d g with %d g on a %d g scale: %s', (greenG, agentG, d, status) =>
    expect(verdict(cure(greenG, agentG, d))).toBe(status),
  )
  it('salt only is no nitrite verdict', () => expect(judgeNitrite(null, BELLY)).toBe('no_nitrite'))
  it('exactly at the limit with perfect weighing is inside', () =>
    expect(judgeNitrite({ ppm: 200, lowPpm: 200, highPpm: 200, expandedPpm: 0 }, BELLY)).toBe('inside'))
  it('refuses too much, holds too little', () => {
    expect(['above_limit', 'limit_not_shown'].every(s => forbidsRubbing(s as never))).toBe(true)
    expect(['below_floor', 'floor_not_shown'].every(s => holdsLot(s as never) && !forbidsRubbing(s as never))).toBe(
      true,
    )
    expect(forbidsRubbing('inside') || holdsLot('inside') || forbidsRubbing('no_nitrite')).toBe(false)
  })
})

import { describe, expect, it } from 'vitest'
import { readTicks, shareTaken } from './neighbours.mjs'

// proc(5): user nice system idle iowait irq softirq steal guest guest_nice.
const stat = (...kinds: number[]) => `cpu  ${kinds.join(' ')}\ncpu0 9 9 9 9 9 9 9 9 9 9\nintr 12\n`

describe('how much of the machine the neighbours took', () => {
  it('counts steal once and leaves guest time, which user time holds already, out of the whole', () => {
    expect(readTicks(stat(100, 0, 50, 700, 20, 0, 10, 120, 40, 0))).toEqual({ all: 1000, taken: 120 })
  })
  it('is the share of what passed between two readings', () => {
    const from = readTicks(stat(100, 0, 0, 100, 0, 0, 0, 0, 0, 0))
    expect(shareTaken(from, readTicks(stat(150, 0, 0, 120, 0, 0, 0, 30, 0, 0)))).toBe(0.3)
    expect(shareTaken(from, from)).toBe(0)
  })
  it('an old kernel that does not count steal took nothing', () => {
    expect(readTicks(stat(1, 2, 3, 4, 5, 6, 7))).toEqual({ all: 28, taken: 0 })
  })
  it('reads this machine', () => {
    expect(readTicks().all).toBeGreaterThan(0)
  })
})

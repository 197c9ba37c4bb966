import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { threadFrom } from './thread'

const LINKS = [
  { from: 'M-1', to: 'L-1' },
  { from: 'M-1', to: 'L-2' },
  { from: 'N-1', to: 'L-1' },
  { from: 'L-1', to: 'S-1' },
  { from: 'S-1', to: 'P-1' },
  { from: 'P-1', to: 'cafe' },
]

describe('the thread', () => {
  it('runs both ways from the middle and takes no side branch', () => {
    const { back, forth } = threadFrom('L-1', LINKS)
    expect([...back].sort()).toEqual(['M-1', 'N-1'])
    expect([...forth].sort()).toEqual(['P-1', 'S-1', 'cafe'])
  })
  it('forwards and backwards are one relation, and circles end', () => {
    const node = fc.integer({ min: 0, max: 9 }).map(String)
    fc.assert(
      fc.property(fc.array(fc.record({ from: node, to: node }), { maxLength: 30 }), node, node, (links, a, b) => {
        expect(threadFrom(a, links).forth.has(b)).toBe(threadFrom(b, links).back.has(a))
      }),
    )
  })
})

import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import type { FridgeView } from '#shared/contracts/lots'
import { notRight, type ShopAsSeen } from './not-right'

const AT = Date.UTC(2026, 10, 26, 9)
const calm: ShopAsSeen = {
  lots: [],
  fridges: [],
  instruments: [],
  store: { heldMeat: [], countsDue: [], clockBehindMs: null },
  freeBytes: 80e9,
  nowMs: AT,
}
const said = (shop: Partial<ShopAsSeen>) => notRight({ ...calm, ...shop }, DEFAULT_NOTATION, 'UTC')
const fridge = (...temperatures: number[]): FridgeView => ({
  id: 1,
  name: 'Cold room',
  thermometerId: null,
  readings: temperatures.map((tempC, i) => ({ id: i, atMs: AT + i * 60_000, tempC, offsetC: 0, instrument: null })),
})

describe('what is not right', () => {
  it('is nothing in a calm shop, nor where nobody knows how much room there is', () => {
    expect(said({})).toEqual([])
    expect(said({ freeBytes: null, fridges: [fridge(), fridge(3.1, 3.4)] })).toEqual([])
  })
  it('a disk is said while there is time, and otherwise when photos are refused', () => {
    expect(said({ freeBytes: 4.2e9 })).toMatchObject([{ tone: 'watch', words: expect.stringContaining('4.2 GB left') }])
    expect(said({ freeBytes: 0.6e9 })).toMatchObject([{ tone: 'act', words: expect.stringContaining('No photos') }])
  })
  it('a fridge by its last readings, with when it was read', () => {
    expect(said({ fridges: [fridge(3.2, 9.1)] })).toMatchObject([
      { tone: 'act', mark: 'warm', name: 'Cold room', words: '9.1 °C at 26 Nov 09:01' },
    ])
    expect(said({ fridges: [fridge(-4)] })).toMatchObject([{ tone: 'cold', mark: 'too cold' }])
  })
  it('the clock comes before held meat, a count after it, an instrument last', () => {
    const concerns = said({
      store: {
        clockBehindMs: 3_600_000,
        heldMeat: [{ code: 'M-0009', reason: 'arrival_warm' }],
        countsDue: [{ code: 'N-0001', name: 'Curing salt' }],
      },
      instruments: [{ id: 1, name: 'Probe', kind: 'thermometer', purpose: null, state: 'failed' } as never],
    })
    expect(concerns.map(one => one.mark)).toEqual(['clock', 'held', 'count', 'failed its check'])
    expect(concerns[0]!.words).toContain('1 h behind')
    expect(concerns.at(-1)!.to!.path).toBe('/office#instruments-head')
  })
})

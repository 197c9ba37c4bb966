import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { notRight, type ShopAsSeen } from './not-right'

const AT = Date.UTC(2026, 10, 26, 9)
const calm: ShopAsSeen = {
  lots: [],
  places: [],
  instruments: [],
  store: { heldMeat: [], returned: [], countsDue: [], clockBehindMs: null },
  freeBytes: 80e9,
  nowMs: AT,
}
const kinds = (shop: Partial<ShopAsSeen>) => notRight({ ...calm, ...shop }, DEFAULT_NOTATION, 'UTC')
const said = (shop: Partial<ShopAsSeen>) => kinds(shop).flatMap(kind => kind.concerns)
const curing = {
  code: 'L-0001',
  openHolds: [],
  reworked: [],
  cureEndedAtMs: AT,
  pieces: [{ placeId: 1, stage: 'cure' }],
} as unknown as LotSummary
const fridge = (...temperatures: number[]): PlaceView => ({
  id: 1,
  code: 'F-0001',
  name: 'Cold room',
  kind: 'cold_room',
  uses: ['cold'],
  inUse: true,
  hygrometerId: null,
  targetC: null,
  targetRh: null,
  shelves: null,
  hooks: null,
  thermometerId: null,
  readings: temperatures.map((tempC, i) => ({ id: i, atMs: AT + i * 60_000, tempC, rh: null, offsetC: 0, instrument: null })),
})

describe('what is not right', () => {
  it('is nothing in a calm shop, nor where nobody knows how much room there is', () => {
    expect(said({})).toEqual([])
    expect(said({ freeBytes: null, places: [fridge(), fridge(3.1, 3.4)], lots: [curing] })).toEqual([])
  })
  it('a disk is said while there is time, and otherwise when photos are refused', () => {
    expect(said({ freeBytes: 4.2e9 })).toMatchObject([{ tone: 'watch', words: expect.stringContaining('4.2 GB left') }])
    expect(said({ freeBytes: 0.6e9 })).toMatchObject([{ tone: 'act', words: expect.stringContaining('No photos') }])
  })
  it('a place by its last reading, with when it was read, and only while something lies in it', () => {
    expect(said({ places: [fridge(3.2, 9.1)], lots: [curing] })).toMatchObject([
      { tone: 'act', mark: 'warm', name: 'Cold room', words: '9.1 °C at 26 Nov 09:01' },
    ])
    expect(said({ places: [fridge(3.2, 9.1)] })).toEqual([])
    expect(said({ places: [fridge(-4)], lots: [curing] })).toMatchObject([{ tone: 'cold', mark: 'too cold' }])
  })
  it('things of one kind stand together, those that hold meat first', () => {
    const lot = (code: string, more: Partial<LotSummary>) => ({ ...curing, code, contradictions: 0, ...more }) as LotSummary
    const found = kinds({
      lots: [
        lot('L-0001', { contradictions: 2 }),
        lot('L-0002', { openHolds: ['by_hand'] }),
        lot('L-0003', { contradictions: 1, openHolds: ['mould'] }),
        lot('L-0004', { reworked: ['mould'] }),
      ],
      store: { ...calm.store, heldMeat: [{ code: 'M-0009', reason: 'arrival_warm' }] },
    })
    expect(found.map(({ mark, concerns }) => [mark, concerns.map(one => one.code)])).toEqual([
      ['held', ['L-0002', 'L-0003', 'M-0009']],
      ['contradicts', ['L-0001', 'L-0003']],
      ['rework', ['L-0004']],
    ])
  })
  it('a pack that came back waits on its lot’s page, and meat on a counter for over two hours is said', () => {
    const store = { ...calm.store, returned: [{ code: 'P-0007', lot: 'L-0003', reason: 'bag open' }] }
    expect(said({ store })).toMatchObject([
      { mark: 'came back', code: 'P-0007', words: 'bag open', to: { path: '/lots/L-0003' } },
    ])
    const counter = { ...fridge(), kind: 'counter', uses: ['bench'], name: 'Long counter' } as PlaceView
    const out = (minutes: number) =>
      ({ ...curing, pieces: [{ placeId: 1, stage: 'rest', sinceMs: AT - minutes * 60_000 }] }) as unknown as LotSummary
    expect(said({ places: [counter], lots: [out(119)] })).toEqual([])
    expect(said({ places: [counter], lots: [out(121)] })).toMatchObject([{ mark: 'lies out', code: 'L-0001' }])
  })
  it('held meat comes before the clock, a count after it, an instrument last', () => {
    const concerns = said({
      store: {
        clockBehindMs: 3_600_000,
        returned: [],
        heldMeat: [{ code: 'M-0009', reason: 'arrival_warm' }],
        countsDue: [{ code: 'N-0001', name: 'Curing salt' }],
      },
      instruments: [{ id: 1, name: 'Probe', kind: 'thermometer', purpose: null, state: 'failed' } as never],
    })
    expect(concerns.map(one => one.mark)).toEqual(['held', 'clock', 'count', 'failed its check'])
    expect(concerns[1]!.words).toContain('1 h behind')
    expect(concerns.at(-1)!.to!.path).toBe('/office/instruments')
  })
})

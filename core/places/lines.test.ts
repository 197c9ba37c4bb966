import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import type { Stay } from '../life/fold'
import { MS_PER_HOUR } from '../units/quantities'
import { warmthLines } from './lines'

const h = (hours: number) => hours * MS_PER_HOUR
const stay = (placeId: number, from: number, to: number | null, stage: Stay['stage'] = 'cure'): Stay => ({
  placeId,
  stage,
  fromMs: h(from),
  toMs: to === null ? null : h(to),
})
const read = (...points: [number, number][]) => points.map(([hour, tempC]) => ({ atMs: h(hour), tempC }))
const FRIDGE = read([0, 2], [10, 12], [20, 2])
const GARAGE = read([0, 6], [30, 6])
const of = (stays: Stay[]) => warmthLines(stays, placeId => (placeId === 1 ? FRIDGE : GARAGE))

describe('what a piece lay in', () => {
  it('is its places\' readings, clipped to its stays', () => {
    expect(of([stay(1, 5, 15)])).toEqual([
      { placeId: 1, stage: 'cure', fromMs: h(5), toMs: h(10), fromC: 7, toC: 12 },
      { placeId: 1, stage: 'cure', fromMs: h(10), toMs: h(15), fromC: 12, toC: 7 },
    ])
  })
  it('goes on in the next place, and says nothing behind a last reading', () => {
    const lines = of([stay(1, 15, 18), stay(2, 18, null)])
    expect(lines.map(({ placeId, fromC, toC }) => [placeId, fromC, toC])).toEqual([
      [1, 7, 4],
      [2, 6, 6],
    ])
    expect(lines.at(-1)!.toMs).toBe(h(30))
  })
  it('is not the smoker\'s while it is heated, nor anything where nobody knows the place', () => {
    expect(of([stay(1, 0, 5, 'heat')])).toEqual([])
    expect(warmthLines([{ ...stay(1, 0, 5), placeId: null }], () => FRIDGE)).toEqual([])
  })
  it('a stay that is cut in two gives the same lines, cut', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 19.5, noNaN: true }), (cut) => {
        const degreeHours = (stays: Stay[]) =>
          of(stays).reduce((sum, line) => sum + ((line.toMs - line.fromMs) * (line.fromC + line.toC)) / 2, 0)
        expect(degreeHours([stay(1, 0, cut), stay(1, cut, 20)])).toBeCloseTo(degreeHours([stay(1, 0, 20)]), -3)
      }),
    )
  })
})

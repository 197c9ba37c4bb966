import { describe, expect, it } from 'vitest'
import { hour, rub, step } from '../fixtures/life-samples'
import { MS_PER_HOUR } from '../units/quantities'
import { soakLoss } from './soak-loss'
import { afterSoaks, waterStays } from './soaked'

const soak = (id: number, from: number, to: number | null, pieces = [1, 2, 3]) =>
  step(id, 'soak', from, { pieces, toMs: to === null ? null : hour(to) })
const out = [rub(), step(2, 'out', 160)]
const slab = { thicknessMm: 40, oneFace: false }
const stayed = {
  leastPpm: 110,
  lostShare: 0.1,
  why: null,
  pieces: [
    { pieceId: 1, leastPpm: 120 },
    { pieceId: 2, leastPpm: 110 },
  ],
}
/** What an hour takes from where nobody measured the thinnest: six tenths of 40 mm, lukewarm. */
const hourly = (curedHours: number, minutes = 60) =>
  soakLoss({ ms: minutes * 60_000, waterC: null, thicknessMm: 24, curedMs: curedHours * MS_PER_HOUR, oneFace: false })

describe('stays in water', () => {
  it('are told piece by piece; what begins next ends one that goes on', () => {
    const steps = [...out, soak(3, 161, 161.5), soak(4, 162, null, [1]), step(5, 'dry', 162.25, { toMs: null })]
    expect(waterStays(steps, 1)).toEqual([
      { fromMs: hour(161), untilMs: hour(161.5), waterC: null },
      { fromMs: hour(162), untilMs: hour(162.25), waterC: null },
    ])
    expect(waterStays(steps, 2)).toHaveLength(1)
    expect(waterStays([...out, soak(3, 161, null)], 1)[0]!.untilMs).toBe(Infinity)
    expect(waterStays(out, 1)).toEqual([])
  })
  it('with ten minutes or less between are one, as warm as the warmest', () => {
    const steps = [...out, soak(3, 161, 161.5), soak(4, 161.6, 162)]
    expect(waterStays(steps, 1)).toEqual([{ fromMs: hour(161), untilMs: hour(162), waterC: null }])
  })
})

describe('the least that stayed', () => {
  it('falls by a curve, and by no cliff at an hour', () => {
    expect(afterSoaks(stayed, out, slab)).toBe(stayed)
    const short = afterSoaks(stayed, [...out, soak(3, 161, 162)], slab)
    expect(short.leastPpm).toBeCloseTo(110 * (1 - hourly(161)), 9)
    expect(short.lostShare).toBeCloseTo(1 - 0.9 * (1 - hourly(161)), 9)
    const seconds = afterSoaks(stayed, [...out, soak(3, 161, 162 + 5 / 3600)], slab)
    expect(seconds.leastPpm).toBeGreaterThan(short.leastPpm! - 0.05)
  })
  it('of several stays what stays multiplies, and other pieces keep theirs', () => {
    const steps = [...out, soak(3, 161, 161.5, [1]), soak(4, 170, 170.5, [1])]
    const found = afterSoaks(stayed, steps, slab)
    expect(found.pieces[0]!.leastPpm).toBeCloseTo(120 * (1 - hourly(161, 30)) * (1 - hourly(170, 30)), 9)
    expect(found.pieces[1]!.leastPpm).toBe(110)
  })
  it('is not shown after two days in water, or while nobody said how long', () => {
    for (const until of [161 + 49, null])
      expect(afterSoaks(stayed, [...out, soak(3, 161, until, [1])], slab)).toMatchObject({
        leastPpm: null,
        why: 'soaked',
        pieces: [{ pieceId: 1, leastPpm: null }, { pieceId: 2, leastPpm: 110 }],
      })
  })
  it('what was hidden before stays hidden, for its own reason', () => {
    const hidden = { leastPpm: null, lostShare: null, why: 'not_seen' as const, pieces: [{ pieceId: 1, leastPpm: null }] }
    expect(afterSoaks(hidden, [...out, soak(3, 161, 162)], slab)).toEqual(hidden)
  })
})

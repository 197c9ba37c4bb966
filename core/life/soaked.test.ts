import { expect, it } from 'vitest'
import { hour, rub, step } from '../fixtures/life-samples'
import { MS_PER_HOUR } from '../units/quantities'
import { afterSoaks, soakedMs } from './soaked'

const soak = (id: number, from: number, to: number | null, pieces = [1, 2, 3]) =>
  step(id, 'soak', from, { pieces, toMs: to === null ? null : hour(to) })
const out = [rub(), step(2, 'out', 160)]
const stayed = {
  leastPpm: 110,
  lostShare: 0.1,
  why: null,
  pieces: [
    { pieceId: 1, leastPpm: 120 },
    { pieceId: 2, leastPpm: 110 },
  ],
}

it('hours in water add up, piece by piece; what begins next ends one that goes on', () => {
  const steps = [...out, soak(3, 161, 161.5), soak(4, 162, null, [1]), step(5, 'dry', 162.25, { toMs: null })]
  expect(soakedMs(steps, 1)).toBe(0.75 * MS_PER_HOUR)
  expect(soakedMs(steps, 2)).toBe(0.5 * MS_PER_HOUR)
  expect(soakedMs([...out, soak(3, 161, null)], 1)).toBe(Infinity)
  expect(soakedMs(out, 1)).toBe(0)
})
it('up to an hour takes a twentieth at most, longer hides what stayed, and other pieces keep theirs', () => {
  expect(afterSoaks(stayed, out)).toBe(stayed)
  const short = afterSoaks(stayed, [...out, soak(3, 161, 162)])
  expect(short.leastPpm).toBeCloseTo(104.5, 9)
  expect(short.lostShare).toBeCloseTo(1 - 0.9 * 0.95, 9)
  expect(afterSoaks(stayed, [...out, soak(3, 161, 162.1, [1])])).toEqual({
    leastPpm: null,
    lostShare: null,
    why: 'soaked',
    pieces: [
      { pieceId: 1, leastPpm: null },
      { pieceId: 2, leastPpm: 110 },
    ],
  })
})
it('what was hidden before stays hidden, for its own reason', () => {
  const hidden = { leastPpm: null, lostShare: null, why: 'not_seen' as const, pieces: [{ pieceId: 1, leastPpm: null }] }
  expect(afterSoaks(hidden, [...out, soak(3, 161, 162)])).toEqual(hidden)
})

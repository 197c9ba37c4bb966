import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MS_PER_DAY, MS_PER_HOUR } from '../units/quantities'
import { openKnot, twine, type TwineQuestion } from './twine'
import { ZONE, at } from '../fixtures/twine-samples'

const ask = (more: Partial<TwineQuestion>): TwineQuestion => ({
  rubbedOn: '2026-03-05',
  zone: ZONE,
  turnEveryDays: 1,
  turnBy: '18:00',
  lastDay: 7,
  turnsMs: [],
  nowMs: at('2026-03-05', '20:00'),
  endedMs: null,
  ...more,
})
const states = (q: TwineQuestion) => twine(q).map(knot => knot.state)

describe('the twine', () => {
  it('ties, misses, and asks for today', () => {
    const q = ask({ turnsMs: [at('2026-03-06', '08:00'), at('2026-03-08', '09:00')], nowMs: at('2026-03-09', '10:00') })
    expect(states(q)).toEqual(['done', 'missed', 'done', 'due', 'coming', 'coming', 'coming'])
    expect(twine(q).map(k => k.face)).toEqual(['down', null, 'up', null, null, null, null])
    expect(openKnot(twine(q))?.day).toBe(4)
  })
  it('is late after the hour and missed after midnight', () => {
    expect(states(ask({ nowMs: at('2026-03-06', '17:59') }))[0]).toBe('due')
    expect(states(ask({ nowMs: at('2026-03-06', '18:00') }))[0]).toBe('late')
    expect(states(ask({ nowMs: at('2026-03-07', '00:00') }))[0]).toBe('missed')
  })
  it('twice a day has a morning and an evening knot', () => {
    const q = ask({
      turnEveryDays: 0.5,
      lastDay: 2,
      turnsMs: [at('2026-03-06', '07:00')],
      nowMs: at('2026-03-06', '13:00'),
    })
    expect(states(q)).toEqual(['done', 'due', 'coming', 'coming'])
  })
  it('every third day accepts a turn a day early', () => {
    const q = ask({
      turnEveryDays: 3,
      lastDay: 9,
      turnsMs: [at('2026-03-07', '08:00')],
      nowMs: at('2026-03-08', '12:00'),
    })
    expect(twine(q).map(k => [k.day, k.state])).toEqual([
      [3, 'done'],
      [6, 'coming'],
      [9, 'coming'],
    ])
  })
  it('stops asking when the pieces are out', () => {
    const q = ask({
      turnsMs: [at('2026-03-06', '08:00')],
      endedMs: at('2026-03-07', '09:00'),
      nowMs: at('2026-03-20', '09:00'),
    })
    expect(states(q)).toEqual(['done'])
  })
  it('ties one knot a turn at most, whatever is recorded', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 240 }), { maxLength: 30 }),
        fc.constantFrom(0.5, 1, 2, 3),
        (hours, turnEveryDays) => {
          const start = at('2026-03-06', '00:00')
          const knots = twine(
            ask({ turnEveryDays, turnsMs: hours.map(h => start + h * MS_PER_HOUR), nowMs: start + 20 * MS_PER_DAY }),
          )
          const done = knots.filter(k => k.state === 'done')
          expect(done.length).toBeLessThanOrEqual(hours.length)
          expect(knots.every(k => k.state === 'done' || k.state === 'missed')).toBe(true)
          expect(done.every((k, i) => k.face === (i % 2 === 0 ? 'down' : 'up'))).toBe(true)
        },
      ),
    )
  })
})

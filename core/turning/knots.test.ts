import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { at, ZONE } from '../fixtures/twine-samples'
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { knotsOf, openLifeKnot, type InCure, type Turned } from './knots'
import { slotsOf } from './rhythm'

const RUBBED = at('2026-03-05', '17:00')
const BOTH: InCure[] = [1, 2].map(pieceId => ({ pieceId, fromMs: RUBBED, toMs: null }))
const turn = (atMs: number, pieces = [1, 2]): Turned => ({ atMs, pieces })
const knots = (
  turns: Turned[],
  nowMs: number,
  { pieces = BOTH, everyDays = 1, lastDay = 4, rubbedAtMs = RUBBED } = {},
) =>
  knotsOf({
    slots: slotsOf({
      rubbedAtMs,
      zone: ZONE,
      segments: [{ fromDay: 0, everyDays, how: 'turned' }],
      turnBy: '18:00',
      lastDay,
    }),
    turns,
    pieces,
    nowMs,
  })
const states = (...asked: Parameters<typeof knots>) => knots(...asked).map(knot => knot.state)

describe('knots', () => {
  it('one turn ties the slot it falls in and no other', () => {
    expect(states([turn(at('2026-03-06', '08:00')), turn(at('2026-03-06', '19:00'))], at('2026-03-07', '09:00'))).toEqual([
      'done',
      'due',
      'coming',
      'coming',
    ])
  })
  it('is late after the shop\'s hour and over at four', () => {
    expect(states([], at('2026-03-06', '17:59'))[0]).toBe('due')
    expect(states([], at('2026-03-06', '18:00'))[0]).toBe('late')
    expect(states([], at('2026-03-07', '03:59'))[0]).toBe('late')
    expect(states([], at('2026-03-07', '04:00'))[0]).toBe('missed')
  })
  it('missed, then turned early: made up, and the turn ties its own slot', () => {
    expect(states([turn(at('2026-03-07', '07:00'))], at('2026-03-07', '09:00')).slice(0, 2)).toEqual(['made_up', 'done'])
    expect(states([turn(at('2026-03-07', '17:00'))], at('2026-03-07', '19:00')).slice(0, 2)).toEqual(['missed', 'done'])
  })
  it('some pieces only: half tied, naming the others, and still asked for', () => {
    const now = at('2026-03-06', '12:00')
    const found = knots([turn(at('2026-03-06', '08:00'), [1])], now)
    expect(found[0]).toMatchObject({ state: 'half', missing: [2] })
    expect(openLifeKnot(found, now)?.day).toBe(1)
    expect(states([turn(at('2026-03-06', '08:00'), [1]), turn(at('2026-03-06', '09:00'), [2])], now)[0]).toBe('done')
  })
  it('a piece that came out is asked no more, the others are', () => {
    const pieces = [BOTH[0]!, { ...BOTH[1]!, toMs: at('2026-03-06', '09:00') }]
    const now = at('2026-03-07', '10:00')
    expect(knots([turn(at('2026-03-06', '20:00'), [1])], now, { pieces })[0]).toMatchObject({ state: 'done', missing: [] })
    const none = BOTH.map(piece => ({ ...piece, toMs: at('2026-03-06', '09:00') }))
    expect(knots([], now, { pieces: none })).toEqual([])
    expect(states([turn(at('2026-03-06', '08:00'))], now, { pieces: none })).toEqual(['done'])
  })
  it('rubbed at seven and turned at seven and seven, give or take 25 minutes, misses nothing', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -25, max: 25 }), { minLength: 28, maxLength: 28 }), (offsets) => {
        const rubbedAtMs = at('2026-03-05', '07:00')
        // Twelve hours by the wall: a clock change comes on the fourth day.
        const hours = offsets.map((offset, i) =>
          turn(
            at(`2026-03-${String(5 + Math.floor((i + 1) / 2)).padStart(2, '0')}`, i % 2 === 0 ? '19:00' : '07:00')
            + offset * MS_PER_MINUTE,
          ),
        )
        const found = states(hours, at('2026-03-19', '12:00'), {
          everyDays: 0.5,
          lastDay: 13,
          rubbedAtMs,
          pieces: BOTH.map(piece => ({ ...piece, fromMs: rubbedAtMs })),
        })
        expect(new Set(found)).toEqual(new Set(['done']))
        expect(found).toHaveLength(27)
      }),
    )
  })
  it('ties one knot a turn at most, whatever is told', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 240 }), { maxLength: 30 }),
        fc.constantFrom(0.5, 1, 2, 3, 4),
        (hours, everyDays) => {
          const found = states(
            hours.map(hour => turn(RUBBED + hour * MS_PER_HOUR)),
            RUBBED + 30 * MS_PER_DAY,
            { everyDays, lastDay: 12 },
          )
          expect(found.filter(state => state === 'done').length).toBeLessThanOrEqual(hours.length)
          expect(found.every(state => ['done', 'missed', 'made_up'].includes(state))).toBe(true)
        },
      ),
    )
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { instantOf } from '../calendar/local-day'
import { at, ZONE } from '../fixtures/twine-samples'
import { MS_PER_HOUR } from '../units/quantities'
import { slotsOf, type RhythmQuestion, type RhythmSegment } from './rhythm'

const every = (everyDays: number | null, fromDay = 0, earliest?: number): RhythmSegment => ({
  fromDay,
  everyDays,
  how: 'turned',
  ...(earliest ? { earliest } : {}),
})
const ask = (segments: RhythmSegment[], more: Partial<RhythmQuestion> = {}) =>
  slotsOf({ rubbedAtMs: at('2026-03-05', '17:00'), zone: ZONE, segments, turnBy: '18:00', lastDay: 8, ...more })

describe('slots of a rhythm', () => {
  it('every day after the rub\'s, from four to four, by the shop\'s hour', () => {
    const slots = ask([every(1)], { lastDay: 3 })
    expect(slots.map(slot => slot.day)).toEqual([1, 2, 3])
    expect(slots[0]).toMatchObject({
      fromMs: at('2026-03-06', '04:00'),
      dueFromMs: at('2026-03-06', '04:00'),
      dueMs: at('2026-03-06', '18:00'),
      untilMs: at('2026-03-07', '04:00'),
    })
  })
  it('every third day is due on the third and may be done on the first', () => {
    const [slot] = ask([every(3)])
    expect(slot).toMatchObject({
      day: 3,
      fromMs: at('2026-03-06', '04:00'),
      dueFromMs: at('2026-03-08', '04:00'),
      dueMs: at('2026-03-08', '18:00'),
      untilMs: at('2026-03-09', '04:00'),
    })
  })
  it('three to four days: every four, asked for from the third', () => {
    const [slot] = ask([every(4, 0, 3)])
    expect(slot).toMatchObject({ day: 4, dueFromMs: at('2026-03-08', '04:00'), dueMs: at('2026-03-09', '18:00') })
  })
  it('morning and evening, from the first half day that begins six hours after the rub', () => {
    const evening = (rub: string) => ask([every(0.5)], { rubbedAtMs: at('2026-03-05', rub), lastDay: 1 })
    expect(evening('08:00').map(slot => slot.fromMs)).toEqual([
      at('2026-03-05', '14:00'),
      at('2026-03-06', '04:00'),
      at('2026-03-06', '14:00'),
    ])
    expect(evening('08:01')[0]!.fromMs).toBe(at('2026-03-06', '04:00'))
    expect(evening('08:00').map(slot => slot.dueMs)).toEqual([
      at('2026-03-05', '18:00'),
      at('2026-03-06', '10:00'),
      at('2026-03-06', '18:00'),
    ])
    expect(ask([every(0.5)], { turnBy: '09:00', lastDay: 1 }).at(-1)!.dueMs).toBe(at('2026-03-06', '20:00'))
  })
  it('daily for a week and every other day after: the new count begins at the edge', () => {
    expect(ask([every(1), every(2, 8)], { lastDay: 13 }).map(slot => slot.day)).toEqual([
      1, 2, 3, 4, 5, 6, 7, 9, 11, 13,
    ])
  })
  it('a change in the middle of a slot waits for its edge', () => {
    expect(ask([every(3), every(1, 5)], { lastDay: 9 }).map(slot => slot.day)).toEqual([3, 6, 7, 8, 9])
  })
  it('from halves to days: nothing of the open day is asked twice', () => {
    expect(ask([every(0.5), every(1, 2)], { lastDay: 4 }).map(slot => [slot.day, slot.fromMs])).toEqual([
      [1, at('2026-03-06', '04:00')],
      [1, at('2026-03-06', '14:00')],
      [2, at('2026-03-07', '04:00')],
      [3, at('2026-03-08', '04:00')],
      [4, at('2026-03-09', '04:00')],
    ])
  })
  it('never turned has none, and may begin later', () => {
    expect(ask([every(null)])).toEqual([])
    expect(ask([every(null), every(2, 4)], { lastDay: 8 }).map(slot => slot.day)).toEqual([5, 7])
  })
  it('lies without gap or overlap in any zone and through every clock change', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(ZONE, 'Europe/London', 'Australia/Lord_Howe', 'UTC', 'Asia/Kolkata'),
        fc.integer({ min: 0, max: 364 }),
        fc.integer({ min: 0, max: 23 }),
        fc.array(fc.constantFrom(0.5, 1, 2, 3, 4), { minLength: 1, maxLength: 4 }),
        (zone, startDay, hour, rhythms) => {
          const rubbedAtMs = instantOf('2026-01-01', '00:00', zone) + (startDay * 24 + hour) * MS_PER_HOUR
          const segments = rhythms.map((days, i) => every(days, i * 5))
          const slots = slotsOf({ rubbedAtMs, zone, segments, turnBy: '18:00', lastDay: 22 })
          for (const [i, slot] of slots.entries()) {
            expect(slot.fromMs).toBeGreaterThanOrEqual(rubbedAtMs)
            expect(slot.dueFromMs).toBeGreaterThanOrEqual(slot.fromMs)
            expect(slot.dueMs).toBeGreaterThanOrEqual(slot.dueFromMs)
            expect(slot.untilMs).toBeGreaterThan(slot.dueMs)
            if (i > 0) expect(slot.fromMs).toBe(slots[i - 1]!.untilMs)
          }
        },
      ),
    )
  })
})

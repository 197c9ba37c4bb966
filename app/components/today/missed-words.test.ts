import { expect, it } from 'vitest'
import { addDays, instantOf } from '#core/calendar/local-day'
import { lotKnots } from '#core/turning/lot-knots'
import { missedWords } from './missed-words'

const ZONE = 'Europe/Amsterdam'
const on = (day: number, time: string) => instantOf(addDays('2026-11-02', day), time, ZONE)
const pieces = [1, 2].map(number => ({ id: number + 10, label: String(number), outAtMs: null }))
/** Turned daily, as told; seen on the morning of a later day. */
const words = (turns: { atMs: number; pieces: number[] | null }[], day: number) => {
  const nowMs = on(day, '09:00')
  const { knots } = lotKnots(
    {
      rubbedOn: '2026-11-02',
      rubbedAtMs: on(0, '10:00'),
      zone: ZONE,
      rhythm: [{ fromDay: 0, everyDays: 1, how: 'turned' }],
      turnBy: '18:00',
      bestByDay: 14,
      cureEndedAtMs: null,
      turns,
      pieces,
    },
    nowMs,
  )
  return missedWords(knots, { pieces } as never, nowMs)
}
const turned = (day: number, time = '12:00', some: number[] | null = null) => ({ atMs: on(day, time), pieces: some })

it('names the days without a turn, the pieces left out and what was made up', () => {
  expect(words([turned(1), turned(2)], 3)).toBe('')
  expect(words([turned(1)], 3)).toBe('not turned on day 2')
  expect(words([turned(1), turned(3, '20:00')], 5)).toBe('not turned on days 2 and 4')
  expect(words([turned(1), turned(3, '06:00')], 4)).toBe('on day 2 made up with the next')
  expect(words([turned(1), turned(2, '12:00', [11])], 3)).toBe('on day 2 not piece 2')
  expect(words([turned(1)], 9)).toBe('not turned 7 times, the last on day 8')
})

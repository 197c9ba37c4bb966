import { expect, it } from 'vitest'
import { instantOf } from '#core/calendar/local-day'
import { twine } from '#core/curing/twine'
import { twineWords } from './twine-words'

const ZONE = 'Europe/London'
const at = (date: string, time: string) => instantOf(date, time, ZONE)
const knots = (nowMs: number, turnsMs: number[]) =>
  twine({
    rubbedOn: '2026-11-20',
    zone: ZONE,
    turnEveryDays: 1,
    turnBy: '18:00',
    lastDay: 8,
    turnsMs,
    nowMs,
    endedMs: null,
  })

it('says the twine in one sentence', () => {
  const turns = [at('2026-11-21', '08:00'), at('2026-11-23', '08:00')]
  expect(twineWords(knots(at('2026-11-24', '12:00'), turns), 4, 7, 14)).toBe(
    'Cure day 4. 2 turned, 1 missed, a turn is due today. Ready from day 7, best by day 14.',
  )
  expect(twineWords(knots(at('2026-11-24', '19:00'), turns), 4, 7, 14)).toContain('a turn is late')
  expect(twineWords(knots(at('2026-11-23', '12:00'), turns), 3, 7, 14)).toContain('no turn is due now')
})

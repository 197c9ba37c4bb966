import { expect, it } from 'vitest'
import { instantOf } from '#core/calendar/local-day'
import { lotKnots } from '#core/turning/lot-knots'
import { steadyRhythm } from '#core/plan/plan'
import { twineWords } from './twine-words'

const TWINE = { readyFromDay: 7, bestByDay: 14, firstFace: null, stacked: false }

const ZONE = 'Europe/London'
const at = (date: string, time: string) => instantOf(date, time, ZONE)
const knots = (nowMs: number, turns: { atMs: number; pieces: number[] | null }[]) =>
  lotKnots(
    {
      rubbedOn: '2026-11-20',
      rubbedAtMs: at('2026-11-20', '10:00'),
      zone: ZONE,
      rhythm: steadyRhythm(1),
      turnBy: '18:00',
      bestByDay: 8,
      cureEndedAtMs: null,
      turns,
      pieces: [1, 2].map(id => ({ id, outAtMs: null })),
    },
    nowMs,
  ).knots

it('says the twine in one sentence', () => {
  const turns = [at('2026-11-21', '08:00'), at('2026-11-23', '08:00')].map(atMs => ({ atMs, pieces: null }))
  expect(twineWords({ ...TWINE, knots: knots(at('2026-11-24', '12:00'), turns), day: 4 })).toBe(
    'Cure day 4. 2 turned, 1 missed, a turn is due today. Ready from day 7, best by day 14.',
  )
  expect(twineWords({ ...TWINE, knots: knots(at('2026-11-24', '19:00'), turns), day: 4 })).toContain('a turn is late')
  expect(twineWords({ ...TWINE, knots: knots(at('2026-11-23', '12:00'), turns), day: 3 })).toContain('no turn is due now')
  const one = [{ atMs: at('2026-11-21', '08:00'), pieces: [2] }]
  expect(twineWords({ ...TWINE, knots: knots(at('2026-11-21', '12:00'), one), day: 1 })).toContain('0 turned, 1 of some pieces only')
})

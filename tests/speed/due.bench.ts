import { bench, describe } from 'vitest'
import { comingOf } from '#core/plan/coming'
import { dueOf } from '#core/plan/due'
import type { DueLot } from '#core/plan/due-lot'
import { PLAN_STARTERS, STARTER_PLANS } from '#core/plan/starters'
import { addDays, instantOf } from '#core/calendar/local-day'

const ZONE = 'America/Chicago'
const TODAY = '2026-11-23'
const NOW = instantOf(TODAY, '10:00', ZONE)
const LOTS = 40

/** Forty lots of six pieces on different days, by every way to begin from, each turned and drained daily up to now. */
const lots = Array.from({ length: LOTS }, (_, i): DueLot => {
  const days = 1 + (i % 14)
  const rubbedOn = addDays(TODAY, -days)
  const rubbedAtMs = instantOf(rubbedOn, '09:00', ZONE)
  const at = (day: number) => instantOf(addDays(rubbedOn, day), '08:00', ZONE)
  const gone = Array.from({ length: days }, (_, day) => at(day + 1))
  const isOut = i % 4 === 0
  return {
    rubbedAtMs,
    rubbedOn,
    zone: ZONE,
    turnBy: '18:00',
    plan: STARTER_PLANS[PLAN_STARTERS[i % PLAN_STARTERS.length]!],
    piecePlans: [],
    pieces: Array.from({ length: 6 }, (_, n) => ({ id: n + 1, outAtMs: isOut ? at(days) : null })),
    turns: gone.map(atMs => ({ atMs, pieces: null })),
    did: [
      ...gone.map(fromMs => ({ kind: 'drain' as const, fromMs, toMs: fromMs, pieces: null })),
      ...(isOut ? [{ kind: 'out' as const, fromMs: at(days), toMs: at(days), pieces: null, rinses: 1 }] : []),
    ],
    lastFeel: null,
  }
})

describe('what is due', () => {
  bench('due list of 40 lots', () => {
    if (lots.flatMap(lot => dueOf(lot, NOW)).length === 0) throw new Error('nothing is due')
  })
  bench('a week ahead of 40 lots', () => {
    if (lots.flatMap(lot => comingOf(lot, NOW, 7)).length === 0) throw new Error('nothing comes')
  })
})

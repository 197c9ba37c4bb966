import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, instantOf } from '../calendar/local-day'
import { floorLot as lot, NOW } from '../fixtures/floor-lot'
import { ZONE } from '../fixtures/twine-samples'
import { STARTER_PLANS } from '../plan/starters'
import { MS_PER_DAY, MS_PER_HOUR } from '../units/quantities'
import { comingDays } from './coming-days'
import type { LotFacts } from './lot-tasks'
import { tasksNow } from './tasks'

const week = (lots: LotFacts[], nowMs = NOW) => comingDays(lots, nowMs, ZONE, 8)
const by = (starter: keyof typeof STARTER_PLANS): Partial<LotFacts> => ({ plan: { plan: STARTER_PLANS[starter], assumed: false } })

describe('the week', () => {
  it('shows when lots are ready and when their best days end', () => {
    const days = week([lot({}), lot({ code: 'L-0002', rubbedOn: '2026-11-16' })])
    expect(days[0]!.date).toBe('2026-11-23')
    expect(days.find(day => day.ready.includes('L-0001'))?.date).toBe('2026-11-27')
    expect(days.find(day => day.bestBy.includes('L-0002'))?.date).toBe('2026-11-30')
  })
  it('says of each thing which lot and pieces, by when and why', () => {
    const [today] = week([lot({ turns: [{ atMs: NOW - MS_PER_HOUR, pieces: [1] }] })])
    expect(today!.work).toMatchObject([
      {
        kind: 'turn',
        code: 'L-0001',
        pieces: [2],
        byMs: instantOf('2026-11-23', '18:00', ZONE),
        notBeforeMs: null,
        because: { why: 'rhythm' },
        late: false,
      },
    ])
    const out = week([lot({})]).flatMap(day => day.work).find(one => one.kind === 'out')
    expect(out).toMatchObject({ because: { why: 'cure_day', fromDay: 7, toDay: 14 }, byMs: null })
  })
  it('holds what is late on today; a measured cure never is, one that gets saltier is', () => {
    const evening = instantOf('2026-11-23', '19:00', ZONE)
    expect(week([lot({})], evening)[0]!.work).toMatchObject([{ kind: 'turn', late: true }])
    const rubbed = { rubbedOn: '2026-11-03', rubbedAtMs: NOW - 20 * MS_PER_DAY, turns: [{ atMs: NOW, pieces: null }] }
    expect(week([lot(rubbed)])[0]!.work.find(one => one.kind === 'out')).toMatchObject({ late: false })
    expect(week([lot({ ...rubbed, ...by('salt_box_day') })])[0]!.work.find(one => one.kind === 'out')).toMatchObject({
      late: true,
      because: { why: 'hard_end' },
    })
  })
  it('of what is out the hour before which it may not go on', () => {
    const outMs = NOW - MS_PER_HOUR
    const resting = lot({
      ...by('rack'),
      cureEndedAtMs: outMs,
      pieces: [{ id: 1, placeId: 1, stage: 'dry', outAtMs: outMs }],
      did: [
        { kind: 'out', fromMs: outMs, toMs: outMs, pieces: null, rinses: 1 },
        { kind: 'dry', fromMs: outMs, toMs: null, pieces: null, how: 'rack' },
      ],
    })
    const [next] = week([resting]).flatMap(day => day.work)
    expect(next!.because).toMatchObject({ why: 'after', going: 'dry' })
    expect(next!.notBeforeMs).toBe(next!.atMs)
    expect(next!.notBeforeMs).toBeGreaterThan(NOW)
    expect(next!.late).toBe(false)
    // Held, it waits for the owner.
    expect(week([{ ...resting, openHolds: ['by_hand'] }]).flatMap(day => day.work)).toEqual([])
  })
  it('asks today for whatever is asked for now', () => {
    const kinds = fc.constantFrom(...(Object.keys(STARTER_PLANS) as (keyof typeof STARTER_PLANS)[]))
    fc.assert(
      fc.property(kinds, fc.integer({ min: 0, max: 9 }), fc.integer({ min: 8, max: 22 }), fc.boolean(), (starter, day, clock, done) => {
        const nowMs = instantOf(addDays('2026-11-20', day), `${String(clock).padStart(2, '0')}:30`, ZONE)
        const agoMs = nowMs - MS_PER_HOUR
        const drained = { kind: 'drain' as const, fromMs: agoMs, toMs: agoMs, pieces: null }
        const one = lot({ ...by(starter), ...(done && { turns: [{ atMs: agoMs, pieces: null }], did: [drained] }) })
        const asked = tasksNow({ lots: [one], runs: [], places: [] }, nowMs).filter(task =>
          ['turn', 'drain', 'look', 'add'].includes(task.kind),
        )
        const today = comingDays([one], nowMs, ZONE, 1)[0]!.work.map(work => work.kind as string)
        for (const { kind } of asked) expect(today).toContain(kind)
      }),
    )
  })
})

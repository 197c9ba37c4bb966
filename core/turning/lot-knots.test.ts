import { describe, expect, it } from 'vitest'
import { at, ZONE } from '../fixtures/twine-samples'
import { steadyRhythm } from '../plan/plan'
import { lotKnots, type TurningLot } from './lot-knots'

const lot = (more: Partial<TurningLot> = {}): TurningLot => ({
  rubbedOn: '2026-03-05',
  rubbedAtMs: at('2026-03-05', '10:00'),
  zone: ZONE,
  rhythm: steadyRhythm(1),
  turnBy: '18:00',
  bestByDay: 7,
  cureEndedAtMs: null,
  turns: [],
  pieces: [
    { id: 1, outAtMs: null },
    { id: 2, outAtMs: null },
  ],
  ...more,
})
const all = (date: string, time: string) => ({ atMs: at(date, time), pieces: null })
const states = (of: TurningLot, nowMs: number) => lotKnots(of, nowMs).knots.map(knot => knot.state)

describe('the twine of a lot', () => {
  it('ties, is made up for, and asks for today', () => {
    const turns = [all('2026-03-06', '08:00'), all('2026-03-08', '09:00')]
    const now = at('2026-03-09', '10:00')
    expect(states(lot({ turns }), now)).toEqual(['done', 'made_up', 'done', 'due', 'coming', 'coming', 'coming'])
    expect(lotKnots(lot({ turns }), now).open).toMatchObject({ day: 4, missing: [1, 2] })
  })
  it('is late after the hour, open past midnight, and missed from four in the morning', () => {
    expect(states(lot(), at('2026-03-06', '17:59'))[0]).toBe('due')
    expect(states(lot(), at('2026-03-06', '18:00'))[0]).toBe('late')
    expect(states(lot(), at('2026-03-07', '03:59'))[0]).toBe('late')
    expect(states(lot(), at('2026-03-07', '04:00'))[0]).toBe('missed')
  })
  it('is half tied while a piece lies as it lay, and names it', () => {
    const turns = [{ atMs: at('2026-03-06', '08:00'), pieces: [2] }]
    expect(lotKnots(lot({ turns }), at('2026-03-06', '09:00')).open).toMatchObject({ state: 'half', missing: [1] })
  })
  it('asks no piece that is out, and nothing once all are', () => {
    const now = at('2026-03-09', '19:00')
    const one = lot({ pieces: [{ id: 1, outAtMs: at('2026-03-08', '09:00') }, { id: 2, outAtMs: null }] })
    expect(lotKnots(one, now).open).toMatchObject({ day: 4, missing: [2] })
    const out = lot({ cureEndedAtMs: at('2026-03-07', '09:00'), turns: [all('2026-03-06', '08:00')] })
    expect(lotKnots(out, now)).toMatchObject({ knots: [{ state: 'done' }], open: null })
  })
  it('counts cure days by the calendar, also for a rub before four', () => {
    const night = lot({ rubbedAtMs: at('2026-03-05', '02:00') })
    expect(lotKnots(night, at('2026-03-05', '12:00')).knots.map(knot => knot.day)).toEqual([0, 1, 2, 3, 4, 5, 6, 7])
  })
  it('every 3 to 4 days is due from the third', () => {
    const loose = lot({ rhythm: steadyRhythm(4) })
    expect(states(loose, at('2026-03-07', '12:00'))[0]).toBe('coming')
    expect(states(loose, at('2026-03-08', '12:00'))[0]).toBe('due')
    expect(states(loose, at('2026-03-09', '19:00'))[0]).toBe('late')
  })
  it('has a morning and an evening knot twice a day, the first six hours after the rub', () => {
    const twice = lot({ rhythm: steadyRhythm(0.5), bestByDay: 2 })
    expect(lotKnots(twice, at('2026-03-05', '12:00')).knots.map(knot => knot.day)).toEqual([1, 1, 2, 2])
    const early = lot({ ...twice, rubbedAtMs: at('2026-03-05', '07:30') })
    expect(lotKnots(early, at('2026-03-05', '12:00')).knots.map(knot => knot.day)).toEqual([0, 1, 1, 2, 2])
  })
})

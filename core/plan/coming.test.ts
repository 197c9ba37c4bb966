import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { on, plannedLot as lot } from '../fixtures/planned-lot'
import { MS_PER_DAY } from '../units/quantities'
import { comingOf } from './coming'
import { dueOf } from './due'
import type { DueLot } from './due-lot'
import { PLAN_STARTERS, STARTER_PLANS } from './starters'

const count = (kind: string, of: DueLot, nowMs: number, days = 14) =>
  comingOf(of, nowMs, days).filter(one => one.kind === kind).length

describe('what a plan has coming', () => {
  it('daily turns are one a day to its last day, and those that are done are not among them', () => {
    // Pour offs and turns from day 1 to day 12.
    expect(count('turn', lot('rack'), on(0, '20:00'))).toBe(12)
    expect(count('drain', lot('rack'), on(0, '20:00'))).toBe(12)
    const turned = lot('rack', { turns: [{ atMs: on(1, '08:00'), pieces: null }] })
    expect(count('turn', turned, on(1, '12:00'))).toBe(11)
    const some = lot('rack', { turns: [{ atMs: on(1, '08:00'), pieces: [1, 3] }] })
    expect(comingOf(some, on(1), 1)[0]).toMatchObject({ kind: 'turn', pieces: [2], atMs: on(1, '18:00') })
  })
  it('a one-face cure has its look and its end', () => {
    expect(comingOf(lot('one_face'), on(1), 14).map(one => [one.kind, one.atMs])).toEqual([
      ['look', on(2, '18:00')],
      ['out', on(8, '18:00')],
    ])
    expect(comingOf(lot('salt_box_day'), on(0, '20:00'), 3).map(one => one.kind)).toEqual(['out'])
  })
  it('of what is out what comes next, not before its hour', () => {
    const out = { pieces: [{ id: 1, outAtMs: on(7) }], did: [
      { kind: 'out' as const, fromMs: on(7), toMs: on(7), pieces: null, rinses: 1 },
      { kind: 'rest' as const, fromMs: on(7), toMs: null, pieces: null, how: 'wrapped' },
    ] }
    const rest = { kind: 'rest' as const, how: 'wrapped' as const, hours: { from: 8, to: 24 } }
    const plan = { ...STARTER_PLANS.bags, then: [rest, { kind: 'slice' as const }] }
    expect(comingOf(lot('bags', { ...out, plan }), on(7, '13:00'), 2)).toMatchObject([
      { kind: 'slice', key: 'all-slice-1', atMs: on(7, '20:00'), notBeforeMs: on(7, '20:00') },
    ])
  })
  it('keys are unique in a lot and stay as time goes by', () => {
    fc.assert(
      fc.property(fc.constantFrom(...PLAN_STARTERS), fc.integer({ min: 0, max: 15 }), (starter, day) => {
        const [now, later] = [on(day, '05:00'), on(day, '05:30')]
        const keys = comingOf(lot(starter), now, 20).map(one => one.key)
        expect(new Set(keys).size).toBe(keys.length)
        expect(comingOf(lot(starter), later, 20).map(one => one.key)).toEqual(keys)
      }),
    )
  })
  it('holds whatever is due today with an hour', () => {
    fc.assert(
      fc.property(fc.constantFrom(...PLAN_STARTERS), fc.integer({ min: 1, max: 6 }), (starter, day) => {
        const nowMs = on(day, '09:00')
        const due = dueOf(lot(starter), nowMs).filter(one => ['turn', 'drain'].includes(one.kind)).map(one => one.byMs)
        const coming = comingOf(lot(starter), nowMs, 1).map(one => one.atMs)
        for (const byMs of due) expect(coming).toContain(byMs)
        expect(coming.every(atMs => atMs <= nowMs + MS_PER_DAY)).toBe(true)
      }),
    )
  })
})

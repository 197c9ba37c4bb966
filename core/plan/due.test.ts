import { describe, expect, it } from 'vitest'
import { on, plannedLot as lot } from '../fixtures/planned-lot'
import { MS_PER_HOUR } from '../units/quantities'
import { dueOf } from './due'
import type { DueLot } from './due-lot'
import type { DoneStep } from './progress'
import { STARTER_PLANS } from './starters'

const asked = (of: DueLot, nowMs: number) => dueOf(of, nowMs).map(due => `${due.kind}${due.late ? ' late' : ''}`)
const did = (kind: DoneStep['kind'], fromMs: number, more: Partial<DoneStep> = {}): DoneStep => ({
  kind,
  fromMs,
  toMs: fromMs,
  pieces: null,
  ...more,
})
const out = (of: DueLot, atMs: number, ...steps: DoneStep[]): DueLot => ({
  ...of,
  pieces: of.pieces.map(piece => ({ ...piece, outAtMs: atMs })),
  did: [did('out', atMs, { rinses: 1 }), ...steps],
})

describe('in the cure', () => {
  it('asks what its plan holds and no more', () => {
    expect(asked(lot('bags'), on(1, '09:00'))).toEqual(['turn'])
    expect(asked(lot('rack'), on(1))).toEqual(['turn', 'drain'])
    expect(asked(lot('rack', { turns: [{ atMs: on(1, '08:00'), pieces: null }], did: [did('drain', on(1, '08:00'))] }), on(1))).toEqual([])
    expect(asked(lot('one_face'), on(1))).toEqual([])
    expect(asked(lot('strips'), on(1, '09:00'))).toEqual(['turn'])
  })
  it('a one-face cure is looked at on its day, late the day after, and then left alone', () => {
    expect(asked(lot('one_face'), on(2))).toEqual(['look'])
    expect(asked(lot('one_face'), on(3))).toEqual(['look late'])
    expect(asked(lot('one_face', { did: [did('look', on(2, '08:00'))] }), on(5))).toEqual([])
  })
  it('names the pieces that wait', () => {
    const some = lot('rack', { turns: [{ atMs: on(1, '08:00'), pieces: [1, 3] }] })
    expect(dueOf(some, on(1)).map(due => [due.kind, due.pieces])).toEqual([
      ['turn', [2]],
      ['drain', null],
    ])
  })
  it('a measured cure is never late for lying longer', () => {
    const left = (day: number) => asked(lot('one_face', { did: [did('look', on(2))] }), on(day))
    expect([left(7), left(8), left(40)]).toEqual([[], ['out'], ['out']])
  })
  it('a salt box is late, and hard, from the hour of its last day on', () => {
    const box = (day: number, time: string) => dueOf(lot('salt_box_day'), on(day, time)).filter(due => due.kind === 'out')
    expect(box(0, '20:00')).toEqual([])
    expect(box(1, '17:59')).toMatchObject([{ late: false, byMs: on(1, '18:00') }])
    expect(box(1, '18:00')).toMatchObject([{ late: true, because: { why: 'hard_end', toDay: 1 } }])
  })
  it('by feel it is looked at each day from the first on, and out when it is stiff', () => {
    const feel = lot('salted_again', { turns: [{ atMs: on(7, '08:00'), pieces: null }], did: [did('drain', on(7, '08:00'))] })
    expect(asked(feel, on(7))).toEqual(['look'])
    const looked = [...feel.did, did('look', on(7, '09:00'))]
    expect(asked({ ...feel, did: looked }, on(7))).toEqual([])
    const stiff = dueOf({ ...feel, did: looked, lastFeel: { feel: 'stiff', atMs: on(7, '09:00') } }, on(7))
    expect(stiff).toMatchObject([{ kind: 'out', because: { why: 'felt', feel: 'stiff', atMs: on(7, '09:00') } }])
  })
})

describe('after the cure', () => {
  const box = (...steps: DoneStep[]) => out(lot('salt_box_soaked'), on(7), ...steps)
  const after = (hours: number) => on(7) + hours * MS_PER_HOUR
  it('not before its hours are over, then due, then late', () => {
    const soaking = box(did('soak', after(0), { toMs: null }))
    const state = (hours: number) => dueOf(soaking, after(hours)).map(due => [due.kind, due.notBeforeMs, due.late])
    expect(state(0.25)).toEqual([['fry_test', after(0.5), false]])
    expect(state(1)).toEqual([['fry_test', null, false]])
    expect(state(2)).toEqual([['fry_test', null, true]])
  })
  it('a slice is fried after the soak before anything else is asked', () => {
    const soaked = did('soak', after(0), { toMs: after(1) })
    expect(asked(box(soaked), after(1))).toEqual(['fry_test'])
    expect(asked(box(soaked, did('fry_test', after(1.2), { verdict: 'again' })), after(2))).toEqual(['soak'])
    expect(asked(box(soaked, did('fry_test', after(1.2), { verdict: 'done' })), after(2))).toEqual(['rest'])
  })
  it('no smoke before the surface is tacky, asked by touch once the hours are over', () => {
    const drying = [did('dry', after(0), { toMs: null, how: 'rack' })]
    const usual = (...steps: DoneStep[]) => out(lot('bags'), on(7), ...drying, ...steps)
    expect(dueOf(usual(), after(3))).toMatchObject([{ kind: 'touch', notBeforeMs: after(12) }])
    expect(asked(usual(), after(13))).toEqual(['touch'])
    expect(asked(usual(did('look', after(13), { surface: 'damp' })), after(14))).toEqual(['touch'])
    expect(asked(usual(did('look', after(13), { surface: 'tacky' })), after(14))).toEqual(['heat'])
    // Touched before it went onto the rack again, it says nothing.
    const again = usual(did('look', after(13), { surface: 'tacky' }), did('dry', after(14), { toMs: null, how: 'rack' }))
    expect(asked(again, after(28))).not.toContain('touch')
  })
  it('a lot that is not to be smoked is never asked to be', () => {
    const dry = did('dry', after(0), { toMs: null })
    const touched = did('look', after(13), { surface: 'dry' })
    expect(asked(out(lot('no_smoke'), on(7), dry, touched), after(20))).toEqual(['slice'])
  })
  it('of two dryings the one that comes next is meant', () => {
    const rack = did('dry', after(0), { toMs: null, how: 'rack' })
    const touched = did('look', after(13), { surface: 'tacky' })
    const [due] = dueOf(out(lot('cold_sessions'), on(7), rack, touched), after(14))
    expect(due).toMatchObject({ kind: 'dry', item: { kind: 'dry', how: 'warm' } })
  })
  it('says which session of how many', () => {
    const first = did('heat', after(20), { toMs: after(26) })
    const [due] = dueOf(out(lot('cold_sessions'), on(7), first), after(40))
    expect(due).toMatchObject({ kind: 'heat', because: { why: 'session', number: 2, of: 3 } })
  })
  it('pieces that went apart are asked apart', () => {
    const of = lot('no_smoke', {
      pieces: [
        { id: 1, outAtMs: on(7) },
        { id: 2, outAtMs: on(7) },
        { id: 3, outAtMs: null },
      ],
      did: [did('out', on(7), { pieces: [1, 2], rinses: 1 }), did('dry', after(1), { pieces: [2], toMs: null })],
      turns: [{ atMs: on(7, '08:00'), pieces: null }],
    })
    expect(dueOf(of, after(2)).map(due => [due.kind, due.pieces])).toEqual([
      ['out', [3]],
      ['dry', [1]],
      ['touch', [2]],
    ])
  })
  it('a piece with a plan of its own follows it', () => {
    const own = lot('bags', { piecePlans: [{ pieces: [3], plan: STARTER_PLANS.no_smoke }] })
    const drying = did('dry', after(0), { toMs: null })
    const touched = did('look', after(13), { surface: 'tacky' })
    expect(dueOf(out(own, on(7), drying, touched), after(14)).map(due => [due.kind, due.pieces])).toEqual([
      ['heat', [1, 2]],
      ['slice', [3]],
    ])
  })
})

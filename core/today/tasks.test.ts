import { describe, expect, it } from 'vitest'
import { USUAL_USES, type PlaceKind } from '../places/place-kind'
import { MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import type { DoneStep } from '../plan/progress'
import { STARTER_PLANS } from '../plan/starters'
import { floorLot as lot, LYING, NOW, PLAN } from '../fixtures/floor-lot'
import type { LotFacts } from './lot-tasks'
import { tasksNow } from './tasks'

/** Out of the cure since three hours before. */
const OUT_MS = NOW - 3 * MS_PER_HOUR
const did = (kind: DoneStep['kind'], fromMs: number, toMs: number | null = fromMs, more: Partial<DoneStep> = {}): DoneStep => ({
  kind,
  fromMs,
  toMs,
  pieces: null,
  ...more,
})
const WAS_OUT = did('out', OUT_MS, OUT_MS, { rinses: 1 })
const out = (more: Partial<LotFacts> = {}): LotFacts =>
  lot({
    cureEndedAtMs: OUT_MS,
    pieces: [1, 2].map(id => ({ id, placeId: 1, stage: 'dry', outAtMs: OUT_MS })),
    did: [WAS_OUT],
    ...more,
  })
const kinds = (lots: LotFacts[], nowMs = NOW) => tasksNow({ lots, runs: [], places: [] }, nowMs).map(task => task.kind)

describe('what is to be done now', () => {
  it('a turn, until it is done', () => {
    expect(kinds([lot({})])).toEqual(['turn'])
    expect(kinds([lot({ turns: [{ atMs: NOW - MS_PER_HOUR }] })])).toEqual([])
  })
  it('a late turn comes first', () => {
    const late = tasksNow({ lots: [lot({}), lot({ code: 'L-0002', turnBy: '09:00' })], runs: [], places: [] }, NOW)
    expect(late.map(task => [task.subject, task.late])).toEqual([
      ['L-0002', true],
      ['L-0001', false],
    ])
  })
  it('follows a lot through the rooms, by its plan', () => {
    const run = { code: 'S-0001', pulledAtMs: NOW, cooled: true, cold: false, pieces: 2 }
    const rack = did('dry', OUT_MS, null)
    const tacky = did('look', NOW - 60_000, NOW - 60_000, { surface: 'tacky' })
    const heat = did('heat', NOW - 50_000, NOW - 40_000)
    const smoked = { did: [WAS_OUT, rack, tacky, heat], runs: [run] }
    expect(kinds([lot({ rubbedOn: '2026-11-16', turns: [{ atMs: NOW, pieces: null }] })])).toEqual(['end_cure'])
    expect(kinds([out()])).toEqual(['dry'])
    expect(kinds([out({ did: [WAS_OUT, rack] })])).toEqual(['touch'])
    expect(kinds([out({ did: [WAS_OUT, rack, tacky] })])).toEqual(['smoke'])
    const heated = [WAS_OUT, rack, tacky, did('heat', NOW - 50_000, null)]
    expect(kinds([out({ did: heated, runs: [{ ...run, pulledAtMs: null, cooled: false }] })])).toEqual([])
    expect(kinds([out({ ...smoked, runs: [{ ...run, cooled: false }] })])).toEqual([])
    expect(kinds([out(smoked)])).toEqual(['slice'])
    expect(kinds([out({ ...smoked, packs: 3, unsent: 2, leftG: 60 })])).toEqual(['send'])
    expect(kinds([out({ ...smoked, packs: 3, leftG: 60 })])).toEqual([])
    // Half the slab still lies there: slicing goes on, whatever was sent.
    expect(kinds([out({ ...smoked, packs: 3, leftG: 2500 })])).toEqual(['slice'])
    expect(kinds([out({ ...smoked, packs: 3, unsent: 1, leftG: 2500 })])).toEqual(['slice', 'send'])
  })
  it('one that is not to be smoked goes from the rack to the slicing table', () => {
    const plan = { plan: STARTER_PLANS.no_smoke, assumed: false }
    const dry = [WAS_OUT, did('dry', OUT_MS - 13 * MS_PER_HOUR, null), did('look', NOW, NOW, { surface: 'dry' })]
    expect(kinds([out({ plan, did: dry })])).toEqual(['slice'])
  })
  it('asks once whether a lot without a plan is to be smoked, and does not say slice after the first of several sessions', () => {
    const run = { code: 'S-0001', pulledAtMs: NOW, cooled: true, cold: true, pieces: 2 }
    const assumed = (more: Partial<LotFacts> = {}) => out({ plan: { plan: PLAN, assumed: true }, ...more })
    expect(kinds([assumed()])).toEqual(['ask_plan', 'dry'])
    expect(kinds([assumed({ runs: [run] })])).toEqual(['go_on'])
    expect(kinds([assumed({ runs: [{ ...run, cold: false, pieces: 1 }] })])).toEqual(['go_on'])
    expect(kinds([assumed({ runs: [run, { ...run, code: 'S-0002', cold: false }] })])).toEqual(['slice'])
    const going = { ...run, code: 'S-0002', pulledAtMs: null, cooled: false, cold: false }
    expect(kinds([assumed({ did: [WAS_OUT, did('dry', OUT_MS, null)], runs: [{ ...run, cold: false }, going] })])).toEqual(['touch'])
    expect(kinds([lot({ plan: { plan: PLAN, assumed: true }, turns: [{ atMs: NOW, pieces: null }] })])).toEqual([])
  })
  it('a second application is asked for after the first draining, and is late a day on', () => {
    const second = (drainedAtMs: number | null) =>
      tasksNow({ lots: [lot({ turns: [{ atMs: NOW, pieces: null }], secondDue: true, drainedAtMs })], runs: [], places: [] }, NOW)
        .filter(task => task.kind === 'second_half')
        .map(task => task.late)
    expect([second(null), second(NOW - 3_600_000), second(NOW - 25 * 3_600_000)]).toEqual([[], [false], [true]])
  })
  it('a held lot asks nothing of the floor once it is out of the cure', () =>
    expect(kinds([out({ openHolds: ['fridge_warm'] })])).toEqual([]))
  it('asks for readings when they are due, not before', () => {
    const at = (minutesAgo: number, lastCoreC: number | null = null) =>
      tasksNow(
        {
          lots: [],
          places: [],
          runs: [
            {
              code: 'S-0001',
              pulledAtMs: null,
              startedAtMs: NOW,
              lastReadingMs: NOW - minutesAgo * MS_PER_MINUTE,
              lastCoreC,
              cooled: false,
            },
          ],
        },
        NOW,
      )
    expect(at(50)[0]).toMatchObject({ kind: 'read_smoke', late: true })
    expect(at(20)[0]).toMatchObject({ kind: 'read_smoke', late: false })
    // From 50 °C core on every 25 min: over a gap of 30 no kill is credited.
    expect([at(26, 49)[0]!.late, at(26, 50)[0]!.late, at(24, 60)[0]!.late]).toEqual([false, true, false])
  })
  it('a fridge is read twice a day, a garage while something lies in it, a smoker with its heat alone', () => {
    const asked = (kind: PlaceKind, hoursAgo: number, pieces: LotFacts['pieces'] = []) =>
      tasksNow(
        {
          lots: [lot({ pieces, cureEndedAtMs: NOW, openHolds: ['by_hand'] })],
          runs: [],
          places: [
            { id: 1, name: 'It', kind, uses: USUAL_USES[kind], readings: [{ atMs: NOW - hoursAgo * MS_PER_HOUR, tempC: 3 }] },
          ],
        },
        NOW,
      )
    expect(asked('fridge', 3)).toEqual([])
    expect(asked('fridge', 13)).toMatchObject([{ kind: 'read_place', subject: 'It', late: true }])
    expect(asked('garage', 13)).toEqual([])
    expect(asked('garage', 13, [LYING])).toHaveLength(1)
    expect(asked('freezer', 13, [LYING])).toEqual([])
    expect(asked('freezer', 25, [LYING])).toHaveLength(1)
    expect(asked('counter', 13, [LYING])).toEqual([])
    expect(asked('smoker', 13, [{ ...LYING, stage: 'heat' }])).toEqual([])
    expect(asked('smoker', 13, [{ ...LYING, stage: 'dry' }])).toHaveLength(1)
    expect(asked('oven', 13, [{ ...LYING, stage: 'rest' }])).toEqual([])
  })
})

import { describe, expect, it } from 'vitest'
import type { Stay } from '../life/fold'
import { MS_PER_HOUR } from '../units/quantities'
import { USUAL_USES, type PlaceKind } from './place-kind'
import { unreadLimits, unreadStretches } from './unread'

const h = (hours: number) => hours * MS_PER_HOUR
const lay = (from: number, to: number | null, more: Partial<Stay> = {}): Stay => ({
  placeId: 1,
  stage: 'cure',
  fromMs: h(from),
  toMs: to === null ? null : h(to),
  ...more,
})
const found = (
  stays: readonly Stay[],
  readHours: readonly number[],
  { now = 100, kind = 'fridge' as PlaceKind, saltOnly = false, since = 0, decided = [] as number[] } = {},
) =>
  unreadStretches(stays, {
    saltOnly,
    placeOf: () => ({ kind, can: null }),
    readingsOf: () => readHours.map(atH => ({ atMs: h(atH), tempC: 3 })),
    sinceMs: h(since),
    decidedMs: decided.map(h),
    nowMs: h(now),
  }).map(({ fromMs, toMs }) => [fromMs / MS_PER_HOUR, toMs === null ? null : toMs / MS_PER_HOUR])

describe('where nobody read', () => {
  it('a day without a reading is not shown, from the last one or from coming in; to the hour it still is', () => {
    expect(found([lay(0, null)], [], { now: 24 })).toEqual([])
    expect(found([lay(0, null)], [], { now: 24.1 })).toEqual([[0, null]])
    expect(found([lay(0, null)], [10], { now: 34 })).toEqual([])
    expect(found([lay(0, null)], [10], { now: 35 })).toEqual([[10, null]])
    // The place was read before it came in: its clock begins with its coming in.
    expect(found([lay(20, null)], [0], { now: 44 })).toEqual([])
  })
  it('a reading ends it, told late splits it, and a stay that ended ends it too', () => {
    expect(found([lay(0, null)], [30])).toEqual([[0, 30], [30, null]])
    expect(found([lay(0, null)], [15, 30], { now: 40 })).toEqual([])
    expect(found([lay(0, 50)], [10, 20])).toEqual([[20, 50]])
    expect(found([lay(0, 50)], [10, 20, 40, 60])).toEqual([])
  })
  it('salt only waits half as long, what is frozen a week', () => {
    expect(found([lay(0, null)], [], { now: 13, saltOnly: true })).toEqual([[0, null]])
    expect(found([lay(0, null)], [], { now: 24 * 7, kind: 'freezer' })).toEqual([])
    expect(found([lay(0, null)], [], { now: 24 * 7 + 1, kind: 'freezer', saltOnly: true })).toEqual([[0, null]])
  })
  it('stages follow each other in one place as one stay; a heat and a bench have clocks of their own', () => {
    expect(found([lay(0, 20), lay(20, 40, { stage: 'dry' })], [], { now: 40 })).toEqual([[0, 40]])
    expect(found([lay(0, 20), lay(20, 40, { placeId: 2 })], [], { now: 40 })).toEqual([])
    expect(found([lay(0, 40, { stage: 'heat' })], [], { kind: 'smoker' })).toEqual([])
    expect(found([lay(0, 40, { stage: 'dry' })], [], { kind: 'smoker' })).toEqual([[0, 40]])
    expect(found([lay(0, 40)], [], { kind: 'counter' })).toEqual([])
    expect(found([lay(0, 40, { placeId: null })], [])).toEqual([])
  })
  it('nothing is asked of what lay before the clock began, and a decision begins it anew', () => {
    expect(found([lay(0, null)], [], { now: 40, since: 20 })).toEqual([])
    expect(found([lay(0, null)], [], { now: 45, since: 20 })).toEqual([[20, null]])
    expect(found([lay(0, null)], [], { now: 50, decided: [30] })).toEqual([[0, 30]])
  })
  it('Today asks before anything is held', () => {
    for (const kind of Object.keys(USUAL_USES) as PlaceKind[])
      for (const saltOnly of [true, false]) {
        const limits = unreadLimits({ kind, can: null }, saltOnly)
        if (limits) expect(limits.askMs).toBeLessThan(limits.holdMs)
      }
  })
  it('against counting hour by hour, whatever was read', () => {
    // 400 stays with readings at random hours: an hour is in a gap when the known hours around it lie too far apart.
    let seed = 7
    const random = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647
    for (let n = 0; n < 400; n++) {
      const [from, to] = [Math.floor(random() * 20), 60 + Math.floor(random() * 40)]
      const reads = Array.from({ length: Math.floor(random() * 6) }, () => Math.floor(random() * 100)).toSorted((a, b) => a - b)
      const known = [from, ...reads.filter(atH => atH > from && atH < to), to]
      let hours = 0
      for (let hour = from; hour < to; hour++) {
        const before = known.findLast(atH => atH <= hour)!
        const after = known.find(atH => atH > hour)!
        if (after - before > 24) hours += 1
      }
      const gaps = found([lay(from, to)], reads).map(([a, b]) => b! - a!)
      expect(gaps.reduce((sum, gap) => sum + gap, 0)).toBe(hours)
    }
  })
})

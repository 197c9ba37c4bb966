import { describe, expect, it } from 'vitest'
import { MS_PER_DAY, MS_PER_HOUR } from '../units/quantities'
import { planAsks, type PlanDeed } from './plan-asks'
import { steadyRhythm, type Plan, type PlanItem } from './plan'
import type { DoneStep } from './progress'

const RUBBED = Date.UTC(2026, 10, 1, 9)
const day = (n: number, hours = 0) => RUBBED + n * MS_PER_DAY + hours * MS_PER_HOUR
const planOf = (then: readonly PlanItem[], end: Partial<Plan['end']> = {}): Plan => ({
  cure: { rhythm: steadyRhythm(1), firstFace: null, stacked: false, pourOffEveryDays: null, looks: [], adds: [] },
  end: { by: 'days', fromDay: 7, toDay: 14, from: 'first_salt', ...end },
  then,
})
const HOT: PlanItem = { kind: 'heat', how: 'hot', sessions: 1, hours: null }
const COLD: PlanItem = { kind: 'heat', how: 'cold', sessions: 2, hours: { from: 4, to: 8 } }
const REST: PlanItem = { kind: 'rest', how: 'open', hours: { from: 12, to: 24 } }
const SLICE: PlanItem = { kind: 'slice' }
const step = (kind: DoneStep['kind'], fromMs: number, toMs: number | null = fromMs, more: Partial<DoneStep> = {}): DoneStep => ({
  kind,
  fromMs,
  toMs,
  pieces: null,
  ...more,
})
const asks = (
  deed: PlanDeed,
  plan: Plan,
  did: readonly DoneStep[],
  { atMs = day(10), outAtMs = day(8) as number | null, assumed = false } = {},
) =>
  planAsks({
    lot: {
      rubbedOn: '2026-11-01',
      zone: 'UTC',
      plan,
      piecePlans: [],
      pieces: [1, 2].map(id => ({ id, outAtMs, greenG: 1000 })),
      did,
    },
    assumed,
    deed,
    pieces: [1, 2],
    atMs,
  }).map(({ ask }) => ask)

describe('what a deed would do against a plan', () => {
  it('out before its days is asked, on the day itself it is not', () => {
    const plan = planOf([SLICE])
    expect(asks('out', plan, [], { atMs: day(0, 2), outAtMs: null })).toEqual(['cure_early'])
    expect(asks('out', plan, [], { atMs: day(6), outAtMs: null })).toEqual(['cure_early'])
    expect(asks('out', plan, [], { atMs: day(7), outAtMs: null })).toEqual([])
    // Also where nobody laid the plan: the days are the lot's own.
    expect(asks('out', plan, [], { atMs: day(1), outAtMs: null, assumed: true })).toEqual(['cure_early'])
  })
  it('days that count from the last salt shift with it', () => {
    const plan = planOf([SLICE], { by: 'hard', from: 'last_salt', fromDay: 5 })
    expect(asks('out', plan, [], { atMs: day(6), outAtMs: null })).toEqual([])
    expect(asks('out', plan, [step('add', day(3))], { atMs: day(6), outAtMs: null })).toEqual(['cure_early'])
  })
  it('never heated though planned is asked at the table and at the door, hot by a hot heat alone', () => {
    const plan = planOf([HOT, SLICE])
    expect(asks('slice', plan, [])).toEqual(['not_heated'])
    expect(asks('send', plan, [step('slice', day(9))])).toEqual(['not_heated'])
    expect(asks('slice', plan, [step('heat', day(9), day(9, 5), { hot: false })])).toEqual(['not_heated'])
    expect(asks('slice', plan, [step('heat', day(9), day(9, 5), { hot: true })])).toEqual([])
    expect(asks('slice', planOf([COLD, SLICE]), [step('heat', day(9), day(9, 5), { hot: false })])).toEqual([])
    expect(asks('heat', plan, [])).toEqual([])
    expect(asks('slice', planOf([SLICE, HOT]), [])).toEqual([])
    expect(asks('slice', plan, [], { assumed: true })).toEqual([])
  })
  it('what somebody planned for some pieces is asked of those, though nobody laid a plan for the lot', () => {
    const found = planAsks({
      lot: {
        rubbedOn: '2026-11-01',
        zone: 'UTC',
        plan: planOf([HOT, SLICE]),
        piecePlans: [{ pieces: [2], plan: planOf([HOT, SLICE]) }],
        pieces: [1, 2].map(id => ({ id, outAtMs: day(8), greenG: 1000 })),
        did: [],
      },
      assumed: true,
      deed: 'slice',
      pieces: [1, 2],
      atMs: day(10),
    })
    expect(found).toEqual([{ ask: 'not_heated', pieces: [2] }])
  })
  it('a rest that was cut short is asked at what comes after it', () => {
    const plan = planOf([REST, HOT, SLICE])
    expect(asks('heat', plan, [step('rest', day(9, 20), null)])).toEqual(['rest_short'])
    expect(asks('heat', plan, [step('rest', day(9), null)])).toEqual([])
    expect(asks('heat', plan, [step('rest', day(9), day(9, 11))])).toEqual(['rest_short'])
    expect(asks('heat', plan, [step('rest', day(9), day(9, 6)), step('rest', day(9, 7), day(9, 13))])).toEqual([])
    const after = planOf([HOT, REST, SLICE])
    const heat = step('heat', day(9), day(9, 5), { hot: true })
    expect(asks('heat', after, [])).toEqual([])
    expect(asks('slice', after, [heat, step('rest', day(9, 18), null)])).toEqual(['rest_short'])
    expect(asks('slice', after, [heat, step('rest', day(9, 5), null)])).toEqual([])
  })
  it('what lay without anybody telling of a rest has rested; what was just taken out has not', () => {
    const [before, after] = [planOf([REST, HOT, SLICE]), planOf([HOT, REST, SLICE])]
    const out = step('out', day(8), day(8))
    expect(asks('heat', before, [out])).toEqual([])
    expect(asks('heat', before, [step('out', day(9, 23))], { outAtMs: day(9, 23) })).toEqual(['rest_short'])
    // Never heated, the rest before the heat is asked for at the table.
    expect(asks('slice', before, [step('out', day(9, 23))], { outAtMs: day(9, 23) })).toEqual(['not_heated', 'rest_short'])
    // Drying is no rest, as long as it goes on.
    expect(asks('heat', before, [out, step('dry', day(8, 1), null)])).toEqual(['rest_short'])
    expect(asks('heat', before, [out, step('dry', day(8, 1), day(9))])).toEqual([])
    const heat = (toMs: number) => step('heat', toMs - 5 * MS_PER_HOUR, toMs, { hot: true })
    expect(asks('slice', after, [heat(day(9, 5))])).toEqual([])
    expect(asks('slice', after, [heat(day(9, 22))])).toEqual(['rest_short'])
    // At the door it is the time up to the slicing that counts.
    expect(asks('send', after, [heat(day(8, 5)), step('slice', day(8, 6))])).toEqual(['rest_short'])
    // A rest before the heat was asked for there, and not once more at the table.
    expect(asks('slice', before, [heat(day(9, 22))])).toEqual([])
  })
  it('none is asked twice of one piece, and none of the others is forgotten', () => {
    const plan = planOf([HOT, SLICE])
    const out = step('out', day(2), day(2), { against: ['cure_early'] })
    expect(asks('slice', plan, [out], { outAtMs: day(2) })).toEqual(['not_heated'])
    expect(asks('slice', plan, [], { outAtMs: day(2) })).toEqual(['cure_early', 'not_heated'])
    const sliced = step('slice', day(9), day(9), { against: ['cure_early', 'not_heated'] })
    expect(asks('send', plan, [sliced], { outAtMs: day(2) })).toEqual([])
    // Answered for one piece, it is asked of the other.
    expect(asks('send', plan, [{ ...sliced, pieces: [1] }], { outAtMs: day(2) })).toEqual(['cure_early', 'not_heated'])
  })
})

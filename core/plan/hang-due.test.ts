import { describe, expect, it } from 'vitest'
import { MS_PER_DAY } from '../units/quantities'
import { dueOf } from './due'
import type { DueLot } from './due-lot'
import type { DoneStep } from './progress'
import { STARTER_PLANS } from './starters'

const OUT = Date.UTC(2026, 2, 20, 8)
const on = (day: number) => OUT + day * MS_PER_DAY
const HUNG = 1
const did = (kind: DoneStep['kind'], day: number, more: Partial<DoneStep> = {}): DoneStep => ({
  kind, fromMs: on(day), toMs: on(day), pieces: null, ...more,
})
/** Rinsed, spiced, and hung a day after it came out. */
const BEFORE = [did('out', 0, { rinses: 1 }), did('flavour', 0.2, { how: 'dry_spice' }), did('hang', HUNG, { toMs: null })]
const weigh = (day: number, netG: number, pieces: number[] | null = null) => did('weigh', HUNG + day, { netG, pieces })
const lot = (...steps: DoneStep[]): DueLot => ({
  rubbedAtMs: on(-15),
  rubbedOn: '2026-03-05',
  zone: 'UTC',
  turnBy: '18:00',
  plan: STARTER_PLANS.hung,
  piecePlans: [],
  pieces: [1, 2].map(id => ({ id, outAtMs: OUT, greenG: 2000 })),
  turns: [],
  did: [...BEFORE, ...steps],
  lastFeel: null,
})
const asked = (day: number, ...steps: DoneStep[]) => dueOf(lot(...steps), on(HUNG + day))
const kinds = (day: number, ...steps: DoneStep[]) => asked(day, ...steps).filter(one => one.notBeforeMs === null).map(one => one.kind)
const air = (day: number, percent: number) => did('humidity', HUNG + day, { percent })

describe('what hangs to dry', () => {
  it('is weighed and the air set as it is hung, then weighed every week', () => {
    expect(kinds(0.1)).toEqual(['weigh', 'humidity'])
    const begun = [air(0.2, 80), weigh(0.2, 3880)]
    expect(kinds(1, ...begun)).toEqual([])
    expect(kinds(7.3, ...begun)).toContain('weigh')
    expect(asked(9.5, ...begun).find(one => one.kind === 'weigh')).toMatchObject({ late: true })
  })
  it('asks for drier air on its day, until it is told', () => {
    const begun = [air(0.2, 80), weigh(0.2, 3880)]
    expect(asked(6, ...begun).find(one => one.kind === 'humidity')).toMatchObject({ notBeforeMs: on(HUNG + 7), because: { percent: 75 } })
    expect(kinds(7.1, ...begun)).toContain('humidity')
    expect(kinds(7.1, ...begun, air(7, 75), weigh(7, 3500))).toEqual([])
  })
  it('goes on once it lost enough, and says when it lost too much', () => {
    const enough = [air(7, 75), weigh(20, 2560)]
    expect(asked(20.1, ...enough)).toMatchObject([{ kind: 'rest', late: false, because: { why: 'lost', from: 0.35, to: 0.4 } }])
    expect(asked(20.1, air(7, 75), weigh(20, 2300))).toMatchObject([{ kind: 'rest', late: true }])
  })
  it('on another hook it hangs on, and after a cold smoke between too', () => {
    const begun = [air(0.2, 80), weigh(0.2, 3880)]
    const again = (day: number) => did('hang', HUNG + day, { toMs: null })
    expect(kinds(3, ...begun, again(2))).toEqual([])
    expect(asked(8, ...begun, again(2)).find(one => one.kind === 'humidity')).toMatchObject({ because: { day: 7, percent: 75 } })
    expect(kinds(3, ...begun, did('heat', HUNG + 1, { toMs: on(HUNG + 1.2) }), again(1.3))).toEqual([])
    expect(asked(20.1, ...begun, again(2), air(7, 75), weigh(20, 2560))[0]).toMatchObject({ kind: 'rest' })
  })
  it('each piece by its own weights; what is asked alike is asked once', () => {
    const apart = [air(7, 75), weigh(20, 1260, [1]), weigh(20.01, 1500, [2])]
    expect(asked(20.1, ...apart).map(one => [one.kind, one.pieces])).toEqual([['rest', [1]], ['weigh', [2]]])
    const both = [air(7, 75), weigh(20, 1260, [1]), weigh(20.01, 1270, [2])]
    expect(asked(20.1, ...both).map(one => [one.kind, one.pieces])).toEqual([['rest', null]])
  })
})

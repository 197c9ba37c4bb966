import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hour } from '../fixtures/life-samples'
import type { PlanItem } from './plan'
import { progressOf, type DoneStep } from './progress'
import { PLAN_STARTERS, STARTER_PLANS } from './starters'

const did = (kind: DoneStep['kind'], from: number, to: number | null = from, more: Partial<DoneStep> = {}): DoneStep => ({
  kind,
  fromMs: hour(from),
  toMs: to === null ? null : hour(to),
  pieces: null,
  ...more,
})
const OUT = did('out', 0, 0, { rinses: 1 })
const { then: BOX } = STARTER_PLANS.salt_box_soaked
const { then: COLD } = STARTER_PLANS.cold_sessions
const at = (then: readonly PlanItem[], ...steps: DoneStep[]) => {
  const p = progressOf(then, hour(0), steps)
  return { next: then[p.at]?.kind ?? 'done', ...p }
}

describe('along a plan', () => {
  it('each item is done by a step of its kind, one after the other', () => {
    expect(at(BOX).next).toBe('rinse')
    expect(at(BOX, OUT).next).toBe('soak')
    expect(at(BOX, OUT, did('soak', 1, null))).toMatchObject({ next: 'soak', sinceMs: hour(1) })
    expect(at(BOX, OUT, did('soak', 1, 2))).toMatchObject({ next: 'rest', freeFromMs: hour(2), fryTestFromMs: hour(2) })
    const rested = at(BOX, OUT, did('soak', 1, 2), did('fry_test', 2, 2, { verdict: 'done' }), did('rest', 3, null))
    expect(rested).toMatchObject({ next: 'rest', sinceMs: hour(3), fryTestFromMs: null })
    // Drying has no end of its own: the heat ends it.
    const smoked = [did('dry', 30, null, { how: 'rack' }), did('heat', 40, 46)]
    expect(at(BOX, OUT, did('soak', 1, 2), did('rest', 3, null), ...smoked)).toMatchObject({ next: 'slice', freeFromMs: hour(46) })
  })
  it('too salty still opens the soak again, and nobody is asked to taste once the next thing went on', () => {
    const again = at(BOX, OUT, did('soak', 1, 2), did('fry_test', 2.2, 2.2, { verdict: 'again' }))
    expect(again).toMatchObject({ next: 'soak', sinceMs: null, fryTestFromMs: null })
    expect(at(BOX, OUT, did('soak', 1, 2), did('rest', 3, null)).fryTestFromMs).toBeNull()
  })
  it('tasted while it lies in the water it stays there longer, or is done with', () => {
    const taste = (verdict: 'again' | 'done') => did('fry_test', 2, 2, { verdict })
    const soaking = [OUT, did('soak', 1, null)]
    expect(at(BOX, ...soaking, taste('again'))).toMatchObject({ next: 'soak', sinceMs: hour(2) })
    expect(at(BOX, ...soaking, taste('done'))).toMatchObject({ next: 'rest', sinceMs: null, freeFromMs: hour(2), passedOver: [] })
    // Good before any water: none is needed.
    expect(at(BOX, OUT, taste('done')).next).toBe('rest')
    expect(at(BOX, ...soaking, taste('done'), did('rest', 3, null))).toMatchObject({ next: 'rest', sinceMs: hour(3) })
  })
  it('flavour is an item like any other, done at once or as long as it lies in it', () => {
    const then: PlanItem[] = [
      { kind: 'flavour', how: 'marinade', hours: { from: 4, to: 12 } },
      { kind: 'flavour', how: 'dry_spice', hours: null },
      { kind: 'slice' },
    ]
    expect(at(then, did('flavour', 1, null, { how: 'marinade' }))).toMatchObject({ at: 0, sinceMs: hour(1) })
    expect(at(then, did('flavour', 1, 6, { how: 'marinade' })).at).toBe(1)
    expect(at(then, did('flavour', 1, 1, { how: 'dry_spice' }))).toMatchObject({ next: 'slice', passedOver: [0] })
  })
  it('a rinse is part of the end; not rinsed then, it is passed over', () => {
    const dry = did('out', 0, 0, { rinses: 0 })
    expect(at(COLD, dry)).toMatchObject({ next: 'dry', passedOver: [0] })
    expect(at(COLD, dry, did('dry', 1, null, { how: 'rack' }))).toMatchObject({ next: 'dry', passedOver: [0] })
  })
  it('of two ways of one kind the one that was meant is done', () => {
    const warm = at(COLD, OUT, did('dry', 1, null, { how: 'warm' }))
    expect(warm).toMatchObject({ at: 2, passedOver: [1] })
    expect(at(COLD, OUT, did('dry', 1, 2, { how: 'fan' })).at).toBe(2)
  })
  it('a heat is over with its last session, and one more opens nothing again', () => {
    const sessions = [did('heat', 10, 16), did('heat', 30, 36), did('heat', 50, 56)]
    expect(at(COLD, OUT, ...sessions.slice(0, 2))).toMatchObject({ next: 'heat', sessions: 2 })
    expect(at(COLD, OUT, ...sessions)).toMatchObject({ next: 'rest', sessions: 0, freeFromMs: hour(56) })
    // It ends the rest, and is no session of the plan.
    expect(at(COLD, OUT, ...sessions, did('rest', 57, null), did('heat', 70, 76))).toMatchObject({ next: 'slice', sessions: 0 })
  })
  it('what the plan does not hold counts for nothing', () => {
    const { then } = STARTER_PLANS.no_smoke
    expect(at(then, OUT, did('heat', 5, 9), did('look', 6), did('move', 7)).next).toBe('dry')
  })
  it('never goes back but for a soak, whatever is told', () => {
    const kind = fc.constantFrom<DoneStep['kind']>('out', 'soak', 'dry', 'rest', 'heat', 'look', 'slice', 'move')
    const steps = fc.array(fc.record({ kind, length: fc.option(fc.integer({ min: 0, max: 3 })) }), { maxLength: 12 })
    fc.assert(
      fc.property(fc.constantFrom(...PLAN_STARTERS), steps, (starter, told) => {
        const { then } = STARTER_PLANS[starter]
        const all = told.map((one, i) => did(one.kind, 10 * i, one.length === null ? null : 10 * i + one.length))
        let before = 0
        for (let n = 0; n <= all.length; n += 1) {
          const p = progressOf(then, hour(0), all.slice(0, n))
          expect(p.at).toBeGreaterThanOrEqual(before)
          expect(p.at).toBeLessThanOrEqual(then.length)
          expect(new Set(p.passedOver).size).toBe(p.passedOver.length)
          // What goes on now is over only when the next thing begins.
          before = p.at
        }
      }),
    )
  })
})

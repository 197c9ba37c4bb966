import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mend, type CureMend, type MixPlan } from './mend'

describe('mending at the bench', () => {
  const plan: MixPlan = {
    greenG: 10_000,
    parts: [
      { key: 'agent', massG: 24 },
      { key: 'salt', massG: 227.5 },
      { key: 'sugar', massG: 100 },
    ],
    agentKey: 'agent',
    divisionG: 0.1,
    meatDivisionG: 5,
  }
  const share = (m: CureMend) => m.after.agentG / m.after.greenG
  const step = (m: CureMend | undefined, what: string, key?: string) =>
    m?.steps.find(s => s.do === what && s.key === key)?.massG
  it('overweighed, not mixed yet: take it off', () =>
    expect(mend(plan, { kind: 'overweighed', weighedG: 30, mixed: false })).toMatchObject([
      { way: 'take_off', steps: [{ massG: 6 }] },
    ]))
  it('too little is made up', () =>
    expect(mend(plan, { kind: 'overweighed', weighedG: 20, mixed: true })).toMatchObject([
      { way: 'make_up', steps: [{ do: 'weigh_more', key: 'agent', massG: 4 }] },
    ]))
  it('overweighed and mixed: more of the rest and use only a part, or more meat', () => {
    const [remix, meat] = mend(plan, { kind: 'overweighed', weighedG: 30, mixed: true })
    expect(step(remix, 'weigh_more', 'salt')).toBeCloseTo(56.9, 9)
    expect(step(remix, 'weigh_more', 'sugar')).toBeCloseTo(25, 9)
    expect(step(remix, 'use_only')! + step(remix, 'set_aside')!).toBeCloseTo(30 + 227.5 + 100 + 56.9 + 25, 9)
    expect(step(meat, 'add_meat')).toBe(2500)
    expect(share(meat!)).toBeCloseTo(24 / 10_000, 12)
  })
  it('a forgotten tub: less mix, or the tub\'s weight in meat', () => {
    expect(mend(plan, { kind: 'tare_forgotten', tareG: 470, mixed: false })[0]!.steps.map(s => s.massG)).toEqual([
      22.9, 216.8, 95.3,
    ])
    const [remix, meat] = mend(plan, { kind: 'tare_forgotten', tareG: 470, mixed: true })
    expect(step(remix, 'set_aside')).toBeCloseTo(16.5, 9)
    expect(step(meat, 'add_meat')).toBe(470)
    expect(mend(plan, { kind: 'tare_forgotten', tareG: 10_000, mixed: true })).toEqual([])
  })
  it('spilled: what is missing is weighed again; a late piece gets its share', () => {
    expect(mend(plan, { kind: 'spilled', leftG: 351.5 * 0.75 })[0]!.steps.map(s => s.massG)).toEqual([6, 56.9, 25])
    const late = mend(plan, { kind: 'late_piece', massG: 2000 })[0]!
    expect(late.steps.map(s => s.massG)).toEqual([4.8, 45.5, 20])
    expect(share(late)).toBeCloseTo(0.0024, 12)
    expect(mend(plan, { kind: 'spilled', leftG: 400 })).toEqual([])
  })
  it('whatever happened, every ingredient comes back to its share of the meat', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('overweighed', 'tare_forgotten', 'spilled', 'late_piece'),
        fc.double({ min: 0.02, max: 0.9, noNaN: true }),
        fc.boolean(),
        (kind, part, mixed) => {
          const ways = mend(
            plan,
            kind === 'overweighed'
              ? { kind, weighedG: 24 * (1 + part), mixed }
              : kind === 'tare_forgotten'
                ? { kind, tareG: 10_000 * part, mixed }
                : kind === 'spilled'
                  ? { kind, leftG: 351.5 * part }
                  : { kind, massG: 10_000 * part },
          )
          expect(ways.length).toBeGreaterThan(0)
          for (const way of ways) expect(share(way) / 0.0024).toBeCloseTo(1, 9)
        },
      ),
    )
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from './agent'
import { bulkAgent, takeOfMixG } from './bulk-mix'
import { formulate, type FormulateQuestion, type Formulation } from './formulate'
import { wetEquilibriumPpm } from '../fixtures/ingoing'
import { mend, type Mend, type MixPlan } from './mend'
import { equalScoopsPpm, lotPpm, meaningOfCure, piecesPpm, type CureWeighed } from './pieces-ppm'
import { PLAIN, type SeasoningWanted } from './seasoning'
import { shareBySide, USUAL_SIDES } from './share-by-side'

const TARGETS = { saltShare: 0.025, saltBasis: 'total', sugarShare: 0.01, nitritePpm: 150 } as const
const made = (q: Partial<FormulateQuestion>): Formulation => {
  const found = formulate({ piecesG: [1840, 2000], agent: CURING_SALT_NO_1, targets: TARGETS, readabilityG: 0.1, ...q })
  if (!found.ok) throw new Error(found.code)
  return found.value
}
const cure = (more: Partial<CureWeighed>): CureWeighed => ({
  pieces: [
    { massG: 1840, readings: 1 },
    { massG: 2000, readings: 1 },
  ],
  meatReadabilityG: 5,
  agent: CURING_SALT_NO_1,
  agentG: 9.2,
  mixG: 140,
  mixReadabilityG: 0.1,
  ...more,
})
const weights = () => fc.array(fc.integer({ min: 200, max: 9000 }), { minLength: 1, maxLength: 12 })

describe('what each method\'s ppm means', () => {
  it.each([
    ['dry', undefined, 'exact'],
    ['two_applications', undefined, 'upper_bound'],
    ['excess', undefined, 'upper_bound'],
    ['wet_equilibrium', undefined, 'exact'],
    ['wet_pick_up', undefined, 'upper_bound'],
    ['wet_pick_up', 4200, 'exact'],
    ['salt_only', undefined, 'none'],
  ] as const)('%s, after %s g: %s', (method, afterG, meaning) =>
    expect(meaningOfCure(cure({ method, afterG: afterG ?? null }))).toBe(meaning),
  )
  it('an upper bound claims nothing below it', () => {
    for (const method of ['two_applications', 'excess', 'wet_pick_up'] as const)
      expect(lotPpm(cure({ method, waterG: 2000, mostPickUp: 0.1 })).lowPpm).toBe(0)
  })
  it('what is shaken off and weighed back comes off at the mix\'s own composition', () => {
    const all = lotPpm(cure({ method: 'excess' })).ppm
    expect(lotPpm(cure({ method: 'excess', weighedBackG: 35 })).ppm).toBeCloseTo(all * 0.75, 9)
    expect(
      piecesPpm(cure({ method: 'excess', weighedBackG: 35 })).every(piece => Math.abs(piece.ppm - all * 0.75) < 1e-9),
    ).toBe(true)
    expect(lotPpm(cure({ method: 'excess', weighedBackG: 35 })).expandedPpm).toBeGreaterThan(
      lotPpm(cure({ method: 'dry', agentG: 6.9 })).expandedPpm,
    )
  })
  it('a brine left until even is shared by meat and brine, as the Handbook counts', () => {
    const found = lotPpm(cure({ method: 'wet_equilibrium', waterG: 2000, agentG: 14.4 }))
    expect(found.ppm).toBeCloseTo(wetEquilibriumPpm(3840, 2140, [{ ...CURING_SALT_NO_1, massG: 14.4 }]), 9)
    expect(found.lowPpm).toBeLessThan(found.ppm)
    expect(found.highPpm).toBeGreaterThan(found.ppm)
  })
  it('a pick-up is the brine\'s share times what was picked up', () => {
    const found = lotPpm(cure({ method: 'wet_pick_up', waterG: 2360, agentG: 40, afterG: 4224 }))
    expect(found.ppm).toBeCloseTo((((1e6 * 40 * 0.0625) / 2500) * (4224 - 3840)) / 3840, 9)
    expect(lotPpm(cure({ method: 'wet_pick_up', waterG: 2360, agentG: 40, mostPickUp: 0.1 })).ppm).toBeCloseTo(
      found.ppm,
      9,
    )
  })
})

describe('formulating by each method', () => {
  it.each(['dry', 'two_applications', 'excess', 'wet_equilibrium', 'wet_pick_up'] as const)(
    '%s comes out at its target, for any meat and brine',
    (method) => {
      fc.assert(
        fc.property(
          weights(),
          fc.integer({ min: 60, max: 190 }),
          fc.double({ min: 0.3, max: 2, noNaN: true }),
          fc.double({ min: 0.12, max: 0.3, noNaN: true }),
          (piecesG, nitritePpm, waterShare, pickUp) => {
            const plan = made({
              method,
              piecesG,
              targets: { ...TARGETS, nitritePpm, sugarShare: 0.005 },
              waterShare,
              pickUp,
              readabilityG: 0.01,
            })
            const got = lotPpm(
              cure({
                method,
                pieces: piecesG.map(massG => ({ massG, readings: 1 })),
                agentG: plan.agentG,
                mixG: plan.mixG,
                waterG: plan.waterG,
                mostPickUp: pickUp,
              }),
            )
            // Half a division of the scale, through each method's own dilution.
            expect(Math.abs(got.ppm - nitritePpm)).toBeLessThan(
              (0.02 * 62_500) / plan.greenWeightG + 0.01,
            )
            expect(plan.totalSaltShare).toBeCloseTo(0.025, 3)
          },
        ),
      )
    },
  )
  it('refuses a brine past saturation', () => {
    expect(
      formulate({
        method: 'wet_pick_up',
        piecesG: [1000],
        agent: null,
        targets: TARGETS,
        readabilityG: 0.1,
        waterShare: 1,
        pickUp: 0.08,
      }),
    ).toMatchObject({ ok: false, code: 'brine_too_strong' })
    expect(
      formulate({
        method: 'wet_pick_up',
        piecesG: [1000],
        agent: null,
        targets: TARGETS,
        readabilityG: 0.1,
        waterShare: 1,
        pickUp: 0.01,
      }),
    ).toMatchObject({ ok: false, code: 'brine_too_strong' })
  })
})

const soy: SeasoningWanted = {
  key: 'soy',
  per: 'g_per_kg',
  amount: 20,
  pieces: null,
  composition: { saltFraction: 0.16, sugarFraction: 0.02, waterFraction: 0.7 },
}

describe('seasonings', () => {
  it('their salt comes off the salt to weigh, under the total school only', () => {
    const without = made({})
    expect(made({ seasonings: [soy] }).saltG).toBeCloseTo(without.saltG - 3.84 * 20 * 0.16, 1)
    const added = { ...TARGETS, saltBasis: 'added' as const }
    expect(made({ seasonings: [soy], targets: added }).saltG).toBeCloseTo(made({ targets: added }).saltG, 9)
    expect(made({ seasonings: [soy] }).totalSaltShare).toBeCloseTo(0.025, 4)
  })
  it('too much of their salt is an error that names the one that brings most', () => {
    expect(
      formulate({
        piecesG: [1000],
        agent: CURING_SALT_NO_1,
        targets: TARGETS,
        readabilityG: 0.1,
        seasonings: [
          { ...soy, key: 'stock', amount: 20 },
          { ...soy, amount: 200 },
        ],
      }),
    ).toMatchObject({ ok: false, code: 'salt_already_exceeded', params: { by: 'soy' } })
  })
  it('half with fennel, half with mustard: each piece gets only its own, and no gram is lost', () => {
    const fennel: SeasoningWanted = { key: 'fennel', per: 'percent', amount: 0.4, pieces: [0], composition: PLAIN }
    const mustard: SeasoningWanted = { key: 'mustard', per: 'g_per_piece', amount: 12, pieces: [1], composition: PLAIN }
    const plan = made({ seasonings: [fennel, mustard] })
    expect(plan.seasonings.map(s => s.perPieceG)).toEqual([
      [7.4, 0],
      [0, 12],
    ])
    expect(plan.mixG).toBeCloseTo(plan.agentG + plan.saltG + plan.sugarG, 9)
    expect(plan.pieces[0]!.ownG + plan.pieces[1]!.ownG).toBeCloseTo(19.4, 9)
  })
  it('every ingredient\'s shares add up to what is weighed', () => {
    fc.assert(
      fc.property(
        weights(),
        fc.constantFrom('percent', 'g_per_kg', 'g_per_piece'),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (piecesG, per, amount) => {
          const plan = made({ piecesG, seasonings: [{ ...soy, per, amount }] })
          for (const s of plan.seasonings) expect(s.perPieceG.reduce((a, b) => a + b, 0)).toBeCloseTo(s.massG, 8)
          expect(plan.pieces.reduce((sum, piece) => sum + piece.mixG, 0)).toBeCloseTo(plan.mixG, 8)
        },
      ),
    )
  })
  it('sides take a piece\'s mix between them', () => {
    const sides = shareBySide(62.8, USUAL_SIDES)
    expect(sides.flesh + sides.fat + sides.edges).toBeCloseTo(62.8, 12)
    expect(shareBySide(10, { flesh: 2, fat: 1, edges: 1 })).toEqual({ flesh: 5, fat: 2.5, edges: 2.5 })
  })
})

describe('equal scoops', () => {
  it('give each piece its own ppm: the light one more, the lot the same', () => {
    fc.assert(
      fc.property(weights(), (piecesG) => {
        const lot = cure({ pieces: piecesG.map(massG => ({ massG, readings: 1 })) })
        const scoops = equalScoopsPpm(lot)
        const whole = piecesG.reduce((a, b) => a + b, 0)
        expect(scoops.reduce((sum, piece, i) => sum + piece.ppm * piecesG[i]!, 0) / whole).toBeCloseTo(
          lotPpm(lot).ppm,
          6,
        )
        scoops.forEach((piece, i) =>
          expect(piece.ppm).toBeCloseTo((((1e6 * 9.2) / piecesG.length) * 0.0625) / piecesG[i]!, 6),
        )
      }),
    )
  })
})

describe('a bulk mix', () => {
  const parts = [
    { role: 'agent' as const, massG: 250, saltFraction: 0.9375, sugarFraction: 0 },
    { role: 'salt' as const, massG: 2200, saltFraction: 1, sugarFraction: 0 },
    { role: 'sugar' as const, massG: 1000, saltFraction: 0, sugarFraction: 1 },
  ]
  it('dispensed by weight gives the ppm it was made for, any meat', () => {
    const mix = bulkAgent(CURING_SALT_NO_1, parts, 1)
    if (!mix.ok) throw new Error(mix.code)
    expect(mix.value.nitriteFraction).toBeCloseTo((250 * 0.0625) / 3450, 12)
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 40_000 }), (greenG) => {
        const takeG = takeOfMixG(mix.value, greenG, 150)
        expect(
          lotPpm(cure({ pieces: [{ massG: greenG, readings: 1 }], agent: mix.value, agentG: takeG, mixG: takeG })).ppm,
        ).toBeCloseTo(150, 9)
      }),
    )
  })
  it('carries the label\'s tolerance and the scale\'s', () => {
    const mix = bulkAgent(CURING_SALT_NO_1, parts, 1)
    const label = 0.0025 / 0.0625
    expect(mix.ok && mix.value.labelTolerance / mix.value.nitriteFraction).toBeCloseTo(
      ((1 + label) * (250.5 / 3449.5)) / (250 / 3450) - 1,
      12,
    )
    expect(bulkAgent(CURING_SALT_NO_1, parts.slice(1), 1)).toMatchObject({ ok: false, code: 'mix_without_agent' })
  })
})

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
  const share = (m: Mend) => m.after.agentG / m.after.greenG
  const step = (m: Mend | undefined, what: string, key?: string) =>
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

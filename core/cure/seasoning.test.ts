import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from './agent'
import { formulate } from './formulate'
import { PLAIN, type SeasoningWanted } from './seasoning'
import { shareBySide, USUAL_SIDES } from '../retained/share-by-side'
import { TARGETS, made, weights } from '../fixtures/methods-samples'

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

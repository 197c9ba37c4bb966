import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURING_SALT_NO_1 } from './agent'
import { formulate, type FormulateQuestion } from './formulate'
import { toDivision } from './to-division'
import { ingoingNitritePpm } from './ingoing-nitrite'
import { lotPpm, piecesPpm } from './pieces-ppm'
import { shareByWeight } from './share-by-weight'

const TARGETS = { saltShare: 0.024, saltBasis: 'total', sugarShare: 0.01, nitritePpm: 149.4565 } as const
const dry = (piecesG: number[], more: Partial<FormulateQuestion> = {}) =>
  formulate({ piecesG, agent: CURING_SALT_NO_1, targets: TARGETS, readabilityG: 0.1, ...more })

describe('a measured dry cure', () => {
  it('gives the weights of the worked example', () => {
    const made = dry([1840])
    expect(made).toMatchObject({ ok: true, value: { agentG: 4.4, saltG: 40, sugarG: 18.4 } })
    expect(made.ok && made.value.mixG).toBeCloseTo(62.8, 9)
  })
  it('counts both schools of salt', () => {
    const made = dry([2000], { targets: { ...TARGETS, saltBasis: 'added', saltShare: 0.025 } })
    if (!made.ok) throw new Error(made.code)
    expect(made.value.addedSaltShare).toBeCloseTo(0.025, 9)
    expect(made.value.totalSaltShare).toBeCloseTo(0.025 + (made.value.agentG * 0.9375) / 2000, 12)
  })
  it('says when the curing salt already brings more salt than wanted', () => {
    const weak = { ...CURING_SALT_NO_1, nitriteFraction: 0.004, saltFraction: 0.996 }
    expect(dry([1000], { agent: weak, targets: { ...TARGETS, saltShare: 0.02 } })).toMatchObject({
      ok: false,
      code: 'salt_already_exceeded',
    })
  })
  it('has nothing to say without meat', () => expect(dry([])).toMatchObject({ code: 'no_pieces' }))
  it('salt only weighs no curing salt', () =>
    expect(dry([1000], { agent: null })).toMatchObject({ value: { agentG: 0, saltG: 24 } }))

  it('hits the target to half a division of the scale, for any meat', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 60_000 }),
        fc.integer({ min: 40, max: 200 }),
        fc.constantFrom(0.01, 0.1, 0.5, 1, 2),
        (greenG, nitritePpm, divisionG) => {
          const made = dry([greenG], { targets: { ...TARGETS, nitritePpm, saltShare: 0.03 }, readabilityG: divisionG })
          if (!made.ok) throw new Error(made.code)
          const ppm = ingoingNitritePpm(greenG, [{ ...CURING_SALT_NO_1, massG: made.value.agentG }])
          expect(Math.abs(ppm - nitritePpm)).toBeLessThanOrEqual((((1e6 * divisionG) / 2) * 0.0625) / greenG + 1e-9)
          expect(toDivision(made.value.saltG, divisionG)).toBeCloseTo(made.value.saltG, 9)
        },
      ),
    )
  })
})

describe('shared over pieces', () => {
  const cure = (weights: number[], agentG: number) => ({
    pieces: weights.map(massG => ({ massG, readings: 1 as const })),
    meatReadabilityG: 5,
    agent: CURING_SALT_NO_1,
    agentG,
    mixG: agentG * 14,
    mixReadabilityG: 0.1,
  })
  it('conserves the mix and gives every piece the lot\'s ppm', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 100, max: 9000 }), { minLength: 1, maxLength: 40 }),
        fc.integer({ min: 10, max: 900 }),
        (weights, tenths) => {
          const lot = cure(weights, tenths / 10)
          expect(shareByWeight(lot.mixG, weights).reduce((a, b) => a + b, 0)).toBeCloseTo(lot.mixG, 8)
          const whole = lotPpm(lot)
          for (const piece of piecesPpm(lot)) {
            expect(piece.ppm / whole.ppm).toBeCloseTo(1, 9)
            expect(piece.lowPpm <= piece.ppm && piece.ppm <= piece.highPpm).toBe(true)
          }
        },
      ),
    )
  })
  it('a small piece is known less well than a large one', () => {
    const [small, large] = piecesPpm(cure([400, 4000], 10.6))
    expect(small!.highPpm - small!.lowPpm).toBeGreaterThan(large!.highPpm - large!.lowPpm)
  })
  it('no curing salt weighed is 0 ppm, not an error', () =>
    expect(piecesPpm(cure([1000], 0))[0]).toMatchObject({ ppm: 0, lowPpm: 0 }))
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { CURING_SALT_NO_1, type CuringAgent } from '#core/cure/agent'
import type { BenchView } from '#shared/contracts/lots'
import { lot, VIEW } from '../../../tests/support/bench-view'
import { emptyMix, useBulkMix, type MixDraft } from './use-bulk-mix'

const SOY = { saltFraction: 0.16, sugarFraction: 0.02, waterFraction: 0.7 }
const STORE: BenchView = {
  ...VIEW,
  ingredients: [
    ...VIEW.ingredients,
    lot('N-0004', 'spice', { name: 'Soy sauce', composition: SOY }),
    lot('N-0005', 'spice', { name: 'Pepper' }),
  ],
}
const mix = (more: Partial<MixDraft> = {}, view = STORE) =>
  useBulkMix(ref<MixDraft>({ ...emptyMix(), ppm: '150', ...more }), ref(view))
const grams = (made: ReturnType<typeof mix>) =>
  Object.fromEntries(made.lines.value.map(line => [line.lot.name, line.plannedG]))
const with_ = (agent: Partial<CuringAgent>): BenchView => ({
  ...STORE,
  ingredients: [
    lot('N-0001', 'curing_salt', { agent: { ...CURING_SALT_NO_1, ...agent } }),
    lot('N-0002', 'salt'),
    lot('N-0003', 'sugar'),
  ],
})

describe('what to weigh for a bulk mix', () => {
  it('30 kg at 150 ppm, 2.5 % salt and 1 % sugar', () => {
    const made = grams(mix())
    expect(made).toEqual({ curing_salt: 72, salt: 682.5, sugar: 300 })
    // 750 g of salt, of which the curing salt brings 67.5.
    expect(made.salt! + 72 * 0.9375).toBe(750)
  })
  it('a seasoning brings its salt and sugar along', () => {
    const made = grams(mix({ seasonings: [{ lotCode: 'N-0004', weighed: '', percent: '2' }] }))
    expect(made['Soy sauce']).toBe(600)
    expect(made.salt!).toBeCloseTo(750 - 72 * 0.9375 - 600 * 0.16, 9)
  })
  it('one without a lot, or with a share that cannot be read, waits', () => {
    for (const waiting of [
      { lotCode: '', percent: '2' },
      { lotCode: 'N-0005', percent: 'two' },
      { lotCode: 'N-0005', percent: '' },
    ]) {
      expect(grams(mix({ seasonings: [{ weighed: '', ...waiting }] }))).toEqual(grams(mix()))
    }
  })
  it('says nothing while amount, share or scale is missing, and says what is too salty', () => {
    expect(mix({ forKg: '' }).made.value).toBeNull()
    expect(mix({ forKg: '-3' }).made.value).toBeNull()
    expect(mix({ saltShare: 'salty' }).made.value).toBeNull()
    expect(mix({}, { ...STORE, scales: [] }).made.value).toBeNull()
    expect(mix({}, { ...STORE, ingredients: [] }).made.value).toBeNull()
    expect(mix({ seasonings: [{ lotCode: 'N-0004', weighed: '', percent: '22' }] }).made.value).toMatchObject({
      ok: false,
      code: 'salt_already_exceeded',
    })
  })
  it('never starts from another mix, and takes the scale that was chosen', () => {
    const tub = lot('N-0006', 'mix', { agent: CURING_SALT_NO_1, agentKind: 'mix' })
    expect(
      mix({ agent: { lotCode: 'N-0006', weighed: '' } }, { ...STORE, ingredients: [tub, ...STORE.ingredients] }).lines
        .value[0]!.lot.code,
    ).toBe('N-0001')
    expect(mix({ forKg: '10.3', scaleId: 3 }).lines.value.map(line => line.plannedG % 1)).toEqual([0, 0, 0])
  })
})

describe('what to take of it for a kilogram', () => {
  it('is the whole tub shared over its kilograms', () => {
    const made = mix()
    const tubG = made.lines.value.reduce((sum, line) => sum + line.plannedG, 0)
    expect(made.takePerKgG.value!).toBeCloseTo(tubG / 30, 9)
  })
  it('follows what was really weighed: twice the curing salt, so less of a stronger mix', () => {
    const weighed = mix({ agent: { lotCode: '', weighed: '144' } })
    expect(weighed.takePerKgG.value!).toBeCloseTo((144 + 682.5 + 300) / 60, 9)
  })
  it.each([
    ['NaNO2', 68.995],
    ['KNO2', 85.104],
    ['NO2', 46.005],
  ] as const)('counts %s as sodium nitrite', (nitriteAs, molarMass) => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 200 }), fc.integer({ min: 5, max: 200 }), (ppm, forKg) => {
        const made = mix({ ppm: String(ppm), forKg: String(forKg) }, with_({ nitriteAs }))
        const tubG = made.lines.value.reduce((sum, line) => sum + line.plannedG, 0)
        const nitriteG
          = (((made.takePerKgG.value! * made.lines.value[0]!.plannedG) / tubG) * 0.0625 * 68.995) / molarMass
        expect(nitriteG * 1000).toBeCloseTo(ppm, 9)
      }),
    )
  })
  it('has nothing to say of one thing alone', () =>
    expect(mix({}, { ...STORE, ingredients: [lot('N-0001', 'curing_salt')] }).takePerKgG.value).toBeNull())
})

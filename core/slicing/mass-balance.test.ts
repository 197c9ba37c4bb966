import fc from 'fast-check'
import { expect, it } from 'vitest'
import { massBalance } from './mass-balance'

const grams = fc.integer({ min: 0, max: 20_000 })

it('conserves mass: green = packs + offcuts + loss + unaccounted', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60_000 }),
      grams,
      grams,
      grams,
      grams,
      (greenG, readyG, packsG, ends, rind) => {
        const b = massBalance({ greenG, readyG, packsG, offcutsG: { ends, rind } })
        expect(packsG + ends + rind + b.lossG! + b.unaccountedG!).toBeCloseTo(greenG, 6)
      },
    ),
  )
})
it('asks about more than 1 % unaccounted, either way', () => {
  const of = (packsG: number) => massBalance({ greenG: 10_000, readyG: 9000, packsG, offcutsG: { ends: 500 } })
  expect(of(8500).asks).toBe(false)
  expect(of(8399).asks).toBe(true)
  expect(of(8601).asks).toBe(true)
  expect(of(8500).yieldShare).toBeCloseTo(0.85, 12)
})
it('knows no loss before the weighing', () =>
  expect(massBalance({ greenG: 1000, readyG: null, packsG: 0, offcutsG: {} })).toMatchObject({
    lossG: null,
    unaccountedG: null,
    asks: false,
  }))
it('conserves mass with what came off before, and what is not sliced yet', () => {
  const some = fc.integer({ min: 0, max: 5000 })
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60_000 }),
      ...([some, some, some, some, some, some] as const),
      (greenG, readyG, packsG, ends, cutG, hereG, takenG) => {
        const b = massBalance({ greenG, readyG, packsG, offcutsG: { ends }, cutG, hereG, takenG })
        expect(packsG + ends + cutG + hereG + takenG + b.lossG! + b.unaccountedG!).toBeCloseTo(greenG, 6)
      }),
  )
})

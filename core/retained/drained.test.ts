import { describe, expect, it } from 'vitest'
import { drainedG } from './drained'

describe('drained', () => {
  it('weighed is what it weighs', () => expect(drainedG({ netG: 118 }, { syrup: true })).toEqual({ lowG: 118, highG: 118 }))
  it('by the mL: between water and full brine, syrup is heavier', () => {
    expect(drainedG({ ml: 200 }, { syrup: false })).toEqual({ lowG: 200, highG: 250 })
    expect(drainedG({ ml: 200 }, { syrup: true }).highG).toBeCloseTo(270, 9)
  })
  it('rough amounts follow each other without gap', () => {
    const [few, cup, more] = (['few_spoons', 'cup', 'more'] as const).map(rough => drainedG({ rough }, { syrup: false }))
    expect(few).toEqual({ lowG: 10, highG: 75 })
    expect([cup!.lowG, cup!.highG, more!.lowG, more!.highG]).toEqual([60, 375, 300, 1250])
  })
})

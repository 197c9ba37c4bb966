import { REST_SHARE } from '../rules/house'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isFinishedIngredient, isFinishedLot, isFinishedMeat, isLeft } from './finished'

const sent = { destroyed: false, heldOpen: false, packs: 3, unsent: 0, readyG: 1000, leftG: 20, unsliced: 0, allGone: false }

describe('a lot is finished', () => {
  it('when all of it is packed and sent, and not a moment before', () => {
    expect(isFinishedLot(sent)).toBe(true)
    expect(isFinishedLot({ ...sent, packs: 0 })).toBe(false)
    expect(isFinishedLot({ ...sent, unsent: 1 })).toBe(false)
    expect(isFinishedLot({ ...sent, heldOpen: true })).toBe(false)
    expect(isFinishedLot({ ...sent, leftG: 31 })).toBe(false)
  })
  it('not while a piece was never on the table, though all packs were sent', () =>
    expect(isFinishedLot({ ...sent, unsliced: 1 })).toBe(false))
  it('when all its pieces were taken away, though nothing was ever packed', () => {
    const taken = { ...sent, packs: 0, readyG: null, leftG: 0, allGone: true }
    expect(isFinishedLot(taken)).toBe(true)
    expect(isFinishedLot({ ...taken, heldOpen: true })).toBe(false)
    expect(isFinishedLot({ ...taken, packs: 2, unsent: 1 })).toBe(false)
  })
  it('when it was destroyed, whatever else is open', () =>
    fc.assert(
      fc.property(fc.boolean(), fc.nat(99), fc.nat(99), (heldOpen, packs, unsent) =>
        isFinishedLot({ ...sent, destroyed: true, heldOpen, packs, unsent }),
      ),
    ))
  it('part of the slab is left from the share of crumbs on', () => {
    expect(isLeft({ readyG: 1000, leftG: 1000 * REST_SHARE, unsliced: 0 })).toBe(false)
    expect(isLeft({ readyG: 1000, leftG: 1000 * REST_SHARE + 1, unsliced: 0 })).toBe(true)
    expect(isLeft({ readyG: null, leftG: null, unsliced: 0 })).toBe(false)
  })
})

describe('meat and ingredients are finished', () => {
  const meat = { state: 'in' as const, weightG: 10_000, leftG: 150, loosePieces: 0 }
  it('meat when next to nothing is left and no cut piece lies loose; held meat waits for its decision', () => {
    expect(isFinishedMeat(meat)).toBe(true)
    expect(isFinishedMeat({ ...meat, leftG: 201 })).toBe(false)
    expect(isFinishedMeat({ ...meat, loosePieces: 1 })).toBe(false)
    expect(isFinishedMeat({ ...meat, state: 'held' })).toBe(false)
    expect(isFinishedMeat({ ...meat, state: 'refused', leftG: 10_000 })).toBe(true)
  })
  it('a bag when it is empty by the book', () => {
    expect(isFinishedIngredient({ amountG: 1000, leftG: 1 })).toBe(true)
    expect(isFinishedIngredient({ amountG: 1000, leftG: 2 })).toBe(false)
    expect(isFinishedIngredient({ amountG: 1000, leftG: -5 })).toBe(true)
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { greenShares } from './divide'
import { nextParts, pieceLabel, pieceTree } from './parts'

const born = (id: number, parentId: number | null = null) => ({ id, parentId })

describe('pieces and what they were cut into', () => {
  // 3 into 6 and 7; 6 into 8 alone.
  const tree = pieceTree([born(1), born(2), born(3), born(6, 3), born(7, 3), born(8, 6)])
  it('leaves are what was not cut up', () => expect(tree.leaves).toEqual([1, 2, 7, 8]))
  it('a piece that was cut up stands for its parts, to the last', () => {
    expect(tree.asLeaves([3])).toEqual([8, 7])
    expect(tree.asLeaves([6, 3, 1])).toEqual([8, 7, 1])
  })
  it('a part has all behind it that it was cut from', () => {
    expect(tree.withAncestors([8])).toEqual([8, 6, 3])
    expect(tree.rootOf(8)).toBe(3)
    expect(tree.rootOf(2)).toBe(2)
  })
  it('where nothing was cut up everything stands for itself', () => {
    const whole = pieceTree([born(1), born(2)])
    expect([whole.leaves, whole.asLeaves([2]), whole.withAncestors([2]), whole.rootOf(2)]).toEqual([[1, 2], [2], [2], 2])
  })
})

describe('letters of parts', () => {
  it('are the next that none had, also those that were cut up further', () => {
    expect(nextParts([], 2)).toEqual(['a', 'b'])
    expect(nextParts(['a', 'b'], 2)).toEqual(['c', 'd'])
    expect(nextParts(['y'], 3)).toEqual(['z', 'aa', 'ab'])
  })
  it('none comes twice, however often pieces are cut', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 100 }), (cuts) => {
        const given: string[] = []
        for (const count of cuts) given.push(...nextParts(given, count))
        expect(new Set(given).size).toBe(cuts.reduce((sum, count) => sum + count, 0))
        expect(given.every(part => /^[a-z]{1,2}$/.test(part))).toBe(true)
      }),
    ))
  it('stand behind the number', () => {
    expect(pieceLabel({ number: 3, part: 'a' })).toBe('3a')
    expect(pieceLabel({ number: 12, part: null })).toBe('12')
  })
})

it('green weights of parts and offcuts come to that of the piece', () => {
  const grams = fc.array(fc.double({ min: 1, max: 5000, noNaN: true }), { minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(fc.double({ min: 50, max: 20_000, noNaN: true }), grams, grams, (greenG, partsG, offcutsG) => {
      const parts = greenShares(greenG, partsG, offcutsG)
      const offcuts = greenShares(greenG, offcutsG, partsG)
      expect([...parts, ...offcuts].reduce((sum, massG) => sum + massG, 0)).toBeCloseTo(greenG, 6)
      expect(parts[0]! * partsG.at(-1)!).toBeCloseTo(parts.at(-1)! * partsG[0]!, 4)
    }),
  )
})

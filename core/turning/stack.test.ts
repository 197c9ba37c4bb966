import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nextOrder, ordersAhead, stacksOf } from './stack'

const times = <T>(of: readonly T[], what: T) => of.filter(one => one === what).length

describe('the order of a stack', () => {
  it('goes by hand for three and four', () => {
    expect(nextOrder([1, 2, 3], 1)).toEqual([3, 2, 1])
    expect(nextOrder([3, 2, 1], 2)).toEqual([2, 3, 1])
    expect(ordersAhead({ pieces: ['a', 'b', 'c', 'd'], turns: 0 }, 3)).toEqual([
      ['d', 'c', 'b', 'a'],
      ['b', 'c', 'd', 'a'],
      ['a', 'd', 'c', 'b'],
    ])
    expect(nextOrder([7], 2)).toEqual([7])
    expect(nextOrder([], 1)).toEqual([])
  })
  it('brings each piece to each position twice in twice as many turns, once on each face, from any order and any turn', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 14 }).chain(n => fc.shuffledSubarray(Array.from({ length: n }, (_, i) => i), { minLength: n })),
        fc.integer({ min: 0, max: 40 }),
        (start, turns) => {
          const orders = ordersAhead({ pieces: start, turns }, 2 * start.length)
          for (const piece of start) {
            const at = orders.map(order => order.indexOf(piece))
            // Over with every turn: odd and even turns show the two faces.
            const faces = start.map((_, position) =>
              at.flatMap((one, turn) => (one === position ? [turn % 2] : [])).toSorted(),
            )
            expect(faces).toEqual(start.map(() => [0, 1]))
          }
          // And then it lies as it did.
          expect(orders.at(-1)).toEqual(start)
        },
      ),
    )
  })
  it('reversing all each time would never bring the middle of three to the bottom', () => {
    const reversed = [1, 2, 3, 4].map(turn => (turn % 2 === 0 ? [1, 2, 3] : [3, 2, 1]))
    expect(times(reversed.map(order => order[0]!), 2)).toBe(0)
    expect(times(ordersAhead({ pieces: [1, 2, 3], turns: 0 }, 6).map(order => order[0]!), 2)).toBe(2)
  })
  it('stacks are apart by place and spot, and what lies in none is in no stack', () => {
    const lying = (id: number, layer: number | null, spot: string | null = null, placeId = 1) =>
      ({ id, placeId, spot, layer, stackTurns: 3 })
    const stacks = stacksOf([lying(1, 2), lying(2, 1), lying(3, null), lying(4, 1, 'tub B'), lying(5, 1, null, 2)])
    expect(stacks.map(stack => stack.pieces.map(piece => piece.id))).toEqual([[2, 1], [4], [5]])
    expect(stacks[0]).toMatchObject({ turns: 3, spot: null })
  })
})

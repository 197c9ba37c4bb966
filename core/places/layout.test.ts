import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { layoutOf, MOST_DRAWN } from './layout'

const piece = (id: number, spot: string | null, layer: number | null = null) => ({ id, spot, layer })
const ids = (pieces: readonly { id: number }[]) => pieces.map(one => one.id)

describe('how a place lies', () => {
  it('has every piece once, wherever it was said to lie', () => {
    const spots = fc.oneof(
      fc.constantFrom(null, 'tub A', 'bag 2', 'rack', 'stack', 'by the door', 'Hook 3', 'shelf  12', 'hooked', 'shelf'),
      fc.integer({ min: 1, max: 300 }).map(hook => `hook ${hook}`),
      fc.integer({ min: 1, max: 30 }).map(shelf => `shelf ${shelf}`),
      fc.string(),
    )
    const counted = fc.option(fc.integer({ min: 1, max: 60 }), { nil: null })
    fc.assert(
      fc.property(fc.array(spots, { maxLength: 60 }), counted, counted, (said, shelves, hooks) => {
        const pieces = said.map((spot, id) => piece(id, spot))
        const { hooks: rail, shelves: rack, vessels, loose } = layoutOf({ shelves, hooks }, pieces)
        const drawn = [...rail, ...rack, ...vessels].flatMap(one => ids(one.pieces)).concat(ids(loose))
        expect(drawn.toSorted((a, b) => a - b)).toEqual(ids(pieces))
      }),
    )
  })
  it('draws the empty hooks and shelves of a place too, and more where more were named', () => {
    const { hooks, shelves } = layoutOf({ hooks: 3, shelves: 2 }, [piece(1, 'hook 2'), piece(2, 'shelf 4')])
    expect(hooks.map(one => ids(one.pieces))).toEqual([[], [1], []])
    expect(shelves.map(one => ids(one.pieces))).toEqual([[], [], [], [2]])
  })
  it('leaves empty hooks and shelves out where they are more than can be seen', () => {
    const lain = [piece(1, 'hook 9'), piece(2, 'shelf 300'), piece(3, 'shelf 2')]
    const { hooks, shelves } = layoutOf({ hooks: MOST_DRAWN.hooks + 1, shelves: null }, lain)
    expect(hooks).toEqual([{ hook: 9, pieces: [lain[0]] }])
    expect(shelves.map(one => [one.shelf, ids(one.pieces)])).toEqual([[2, [3]], [300, [2]]])
  })
  it('knows what stands there by its name, and a stack from the bottom up', () => {
    const { vessels } = layoutOf({ hooks: null, shelves: null }, [
      piece(1, 'bag 10'), piece(2, 'bag 2'), piece(3, 'tub A', 2), piece(4, 'tub A', 1), piece(5, 'rack'), piece(6, 'by the door'),
    ])
    expect(vessels.map(one => [one.name, one.vessel, ids(one.pieces)])).toEqual([
      ['bag 2', 'bag', [2]],
      ['bag 10', 'bag', [1]],
      ['by the door', 'other', [6]],
      ['rack', 'rack', [5]],
      ['tub A', 'stack', [4, 3]],
    ])
  })
})

import { describe, expect, it } from 'vitest'
import { FRIDGE, GARAGE, rub, step } from '../fixtures/life-samples'
import { foldLife } from './fold'
import { stacksOf } from '../turning/stack'
import type { Step } from './step'

const STACKED: Step = { ...step(1, 'rub', 0, { pieces: [1, 2, 3, 4] }), figures: { spots: {}, face: 'flesh', stacked: true } }
const ALL = { pieces: [1, 2, 3, 4] }
const turn = (id: number, hours: number, more: Parameters<typeof step<'turn'>>[3] = ALL) => step(id, 'turn', hours, more)
function lies(...steps: Step[]): number[][] {
  const folded = foldLife(steps)
  if (!folded.ok) throw new Error(folded.contradiction.code)
  return stacksOf(folded.life.pieces).map(stack => stack.pieces.map(piece => piece.pieceId))
}

describe('a stack through the steps of its lot', () => {
  it('lies as it was rubbed, goes over by its order with each turn, told in whatever order', () => {
    expect(lies(STACKED)).toEqual([[1, 2, 3, 4]])
    expect(lies(STACKED, turn(2, 24))).toEqual([[4, 3, 2, 1]])
    expect(lies(STACKED, turn(2, 24), turn(3, 48))).toEqual([[2, 3, 4, 1]])
    expect(lies(turn(2, 48), STACKED, turn(3, 24))).toEqual([[2, 3, 4, 1]])
    // A day is missed: it goes on from what is there.
    expect(lies(STACKED, turn(2, 24), turn(3, 120))).toEqual([[2, 3, 4, 1]])
  })
  it('massaged, or turned in part, it lies as it lay', () => {
    const massaged = turn(2, 24, { ...ALL, figures: { how: 'massaged', face: null } })
    expect(lies(STACKED, massaged, turn(3, 48, { pieces: [1, 2] }))).toEqual([[1, 2, 3, 4]])
  })
  it('lies as it was told, and goes on from there', () => {
    const told = turn(2, 24, { ...ALL, figures: { how: 'turned', face: null, order: [2, 4, 1, 3] } })
    expect(lies(STACKED, told)).toEqual([[2, 4, 1, 3]])
    expect(lies(STACKED, told, turn(3, 48))).toEqual([[1, 4, 2, 3]])
    // Never said to be stacked, until somebody does.
    expect(lies(rub())).toEqual([])
    const said = step(2, 'move', 5, { placeId: FRIDGE, figures: { spot: null, order: [3, 1, 2] } })
    expect(lies(rub(), said)).toEqual([[3, 1, 2]])
    expect(lies(rub(), said, step(3, 'turn', 24))).toEqual([[2, 1, 3]])
  })
  it('what is moved lies on top, what is out in no stack, and the rest closes up', () => {
    const moved = step(2, 'move', 5, { pieces: [2], placeId: GARAGE })
    expect(lies(STACKED, moved)).toEqual([[1, 3, 4], [2]])
    const back = step(3, 'move', 9, { pieces: [2], placeId: FRIDGE })
    expect(lies(STACKED, moved, back)).toEqual([[1, 3, 4, 2]])
    expect(lies(STACKED, step(2, 'out', 100, { pieces: [1, 4] }))).toEqual([[2, 3]])
  })
  it('tubs are stacks of their own', () => {
    const tubs: Step = {
      ...step(1, 'rub', 0, ALL),
      figures: { spots: { 1: 'tub A', 2: 'tub A', 3: 'tub B', 4: 'tub B' }, face: null, stacked: true },
    }
    expect(lies(tubs, turn(2, 24))).toEqual([[2, 1], [4, 3]])
    expect(lies(tubs, turn(2, 24, { pieces: [1, 2] }))).toEqual([[2, 1], [3, 4]])
  })
})

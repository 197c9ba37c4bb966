import { describe, expect, it } from 'vitest'
import { FRIDGE, GARAGE, hour, rub, step } from '../fixtures/life-samples'
import { foldStanding } from './fold-standing'
import { piecesFor, stayAt } from './pieces-for'

const { life } = foldStanding([
  rub(),
  step(2, 'move', 10, { pieces: [1], placeId: GARAGE }),
  step(3, 'out', 100, { pieces: [2] }),
])

describe('all of a lot', () => {
  it('means the pieces for which it makes sense at that instant', () => {
    expect(piecesFor(life, 'turn', hour(90))).toEqual([1, 2, 3])
    expect(piecesFor(life, 'turn', hour(110))).toEqual([1, 3])
    expect(piecesFor(life, 'heat', hour(110))).toEqual([2])
    expect(piecesFor(life, 'look', hour(110))).toEqual([1, 2, 3])
  })
  it('poured off means those in the cure, and what was left in the bag where none is', () => {
    expect(piecesFor(life, 'drain', hour(110))).toEqual([1, 3])
    const out = foldStanding([rub(), step(2, 'out', 100, { pieces: [1, 2] }), step(3, 'out', 105, { pieces: [3] })]).life
    expect(piecesFor(out, 'drain', hour(110))).toEqual([1, 2, 3])
    expect(piecesFor(out, 'turn', hour(110))).toEqual([1, 2, 3])
  })
  it('means every piece where it makes sense for none', () =>
    expect(piecesFor(life, 'heat', hour(50))).toEqual([1, 2, 3]))
  it('knows where a piece lay, and before its rub nowhere', () => {
    const { stays } = life.pieces[0]!
    expect(stayAt(stays, hour(5))).toMatchObject({ placeId: FRIDGE })
    expect(stayAt(stays, hour(10))).toMatchObject({ placeId: GARAGE })
    expect(stayAt(stays, hour(-1))).toBeNull()
  })
})

import { describe, expect, it } from 'vitest'
import { pieceTree } from '../life/parts'
import { destroysLot, isUndecided, stopsLot, stopsPieces, stopsSending, type HoldState } from './stops-lot'

const FOUR = pieceTree([1, 2, 3, 4].map(id => ({ id, parentId: null })))
/** 4 was cut into 5 and 6. */
const CUT = pieceTree([...[1, 2, 3, 4].map(id => ({ id, parentId: null })), { id: 5, parentId: 4 }, { id: 6, parentId: 4 }])
const hold = (disposition: HoldState['disposition'], pieceIds: number[] | null = null): HoldState => ({ disposition, pieceIds })

describe('a hold', () => {
  it('stops its lot until it is decided', () => {
    expect(stopsLot(hold(null), FOUR)).toBe(true)
    expect(stopsLot(hold(null, [1]), FOUR)).toBe(true)
    expect([hold('release'), hold('rework', [1])].map(one => stopsLot(one, FOUR))).toEqual([false, false])
  })
  it('that destroys some pieces leaves the others', () => {
    expect(destroysLot(hold('destroy', [1, 2]), FOUR)).toBe(false)
    expect(stopsLot(hold('destroy', [1, 2]), FOUR)).toBe(false)
    expect(stopsLot(hold('destroy', [1, 2, 3, 4]), FOUR)).toBe(true)
    expect(destroysLot(hold('destroy'), FOUR)).toBe(true)
  })
  it('on some pieces stops those alone', () => {
    expect(stopsPieces(hold(null, [1, 2]), [2, 3], FOUR)).toBe(true)
    expect(stopsPieces(hold(null, [1, 2]), [3, 4], FOUR)).toBe(false)
    expect(stopsPieces(hold('destroy', [1]), [1], FOUR)).toBe(true)
    expect(stopsPieces(hold(null), [3], FOUR)).toBe(true)
    expect(stopsPieces(hold('release'), [3], FOUR)).toBe(false)
  })
  it('that is being reworked stops nothing but the way to a customer, and is decided on again', () => {
    expect([stopsLot(hold('reworking'), FOUR), stopsPieces(hold('reworking'), [3], FOUR)]).toEqual([false, false])
    expect(stopsSending(hold('reworking'), [3], FOUR)).toBe(true)
    expect([[3], [1, 3]].map(pieces => stopsSending(hold('reworking', [1]), pieces, FOUR))).toEqual([false, true])
    expect([null, 'reworking', 'rework', 'release', 'destroy'].map(how => isUndecided(hold(how as HoldState['disposition'])))).toEqual([
      true, true, false, false, false,
    ])
  })
  it('stops sending wherever it stops all else, and nothing once it is let go', () => {
    for (const how of [null, 'destroy'] as const) expect(stopsSending(hold(how, [4]), [5], CUT)).toBe(true)
    for (const how of ['release', 'rework'] as const) expect(stopsSending(hold(how), [1], FOUR)).toBe(false)
  })
  it('on a piece is on whatever is cut from it, and on a part leaves the other', () => {
    expect(stopsPieces(hold(null, [4]), [5], CUT)).toBe(true)
    expect(stopsPieces(hold(null, [5]), [6], CUT)).toBe(false)
    expect(destroysLot(hold('destroy', [1, 2, 3, 4]), CUT)).toBe(true)
    expect(destroysLot(hold('destroy', [1, 2, 3, 5]), CUT)).toBe(false)
  })
})

import { describe, expect, it } from 'vitest'
import { destroysLot, stopsLot, stopsPieces, type HoldState } from './stops-lot'

const hold = (disposition: HoldState['disposition'], pieceIds: number[] | null = null): HoldState => ({ disposition, pieceIds })

describe('a hold', () => {
  it('stops its lot until it is decided', () => {
    expect(stopsLot(hold(null), 4)).toBe(true)
    expect(stopsLot(hold(null, [1]), 4)).toBe(true)
    expect([hold('release'), hold('rework', [1])].map(one => stopsLot(one, 4))).toEqual([false, false])
  })
  it('that destroys some pieces leaves the others', () => {
    expect(destroysLot(hold('destroy', [1, 2]), 4)).toBe(false)
    expect(stopsLot(hold('destroy', [1, 2]), 4)).toBe(false)
    expect(stopsLot(hold('destroy', [1, 2, 3, 4]), 4)).toBe(true)
    expect(destroysLot(hold('destroy'), 4)).toBe(true)
  })
  it('on some pieces stops those alone', () => {
    expect(stopsPieces(hold(null, [1, 2]), [2, 3])).toBe(true)
    expect(stopsPieces(hold(null, [1, 2]), [3, 4])).toBe(false)
    expect(stopsPieces(hold('destroy', [1]), [1])).toBe(true)
    expect(stopsPieces(hold(null), [3])).toBe(true)
    expect(stopsPieces(hold('release'), [3])).toBe(false)
  })
})

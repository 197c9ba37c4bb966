import { describe, expect, it } from 'vitest'
import { LOCK_ORDER, lockLateWords, watchLocks, type LockedLate } from './lock-order'

const watched = () => {
  const late: LockedLate[] = []
  return { late, locks: watchLocks(one => late.push(one)) }
}

describe('what one transaction locks', () => {
  it('table by table and row by row is in order', () => {
    const { late, locks } = watched()
    LOCK_ORDER.forEach(table => locks.lock(table, [3, 1, 2]))
    expect(late).toEqual([])
  })
  it('a table, or a row of one, that comes too late is named with what was locked before it', () => {
    const { late, locks } = watched()
    locks.lock('lots', [4])
    locks.lock('places', [9])
    locks.lock('lots', [2])
    expect(late).toEqual([
      { table: 'places', id: 9, behind: { table: 'lots', id: 4 } },
      { table: 'lots', id: 2, behind: { table: 'lots', id: 4 } },
    ])
    expect(lockLateWords(late[0]!)).toMatch(/^places 9 was locked behind lots 4: the order is places, meat_lots, lots/)
  })
  it('locked again, or made by itself, is never too late; what has no place in the order is locked under its parent', () => {
    const { late, locks } = watched()
    locks.lock('lots', [1, 2])
    locks.made('places', [7])
    locks.lock('packs', [5])
    for (const [table, id] of [['lots', 1], ['places', 7], ['holds', 1], ['runs', 3]] as const) locks.lock(table, [id])
    expect(late).toEqual([])
  })
  it('a new row locks the rows that it belongs to', () => {
    const { late, locks } = watched()
    locks.lock('lots', [3])
    locks.lockParents([{ lotId: 3, placeId: null }, { lotId: 3, placeId: 8, note: 'x' }])
    expect(late).toEqual([{ table: 'places', id: 8, behind: { table: 'lots', id: 3 } }])
  })
})

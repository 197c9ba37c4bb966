import { describe, expect, it } from 'vitest'
import { byId } from './by-id'

describe('rows by their id', () => {
  const userOf = byId([{ id: 3, name: 'Ada' }, { id: 7, name: 'Ben' }], 'user')
  it('are found', () => {
    expect(userOf(7).name).toBe('Ben')
  })
  it('are said to be missing by name, not read as nothing', () => {
    expect(() => userOf(8)).toThrow('No user 8.')
  })
})

import { describe, expect, it } from 'vitest'
import { findPages } from './find-page'

const names = (typed: string, own = true) => findPages(typed, { own }).map(page => page.name)

describe('a page', () => {
  it.each([
    ['smoke', 'Smokehouse'],
    ['instr', 'Instruments'],
    ['thermo', 'Instruments'],
    ['PIN', 'My own'],
    ['table', 'Slicing table'],
    ['salt l', 'Salt ledger'],
  ])('is found by “%s”', (typed, name) => expect(names(typed)[0]).toBe(name))
  it('whose name begins so stands before those that hold such a thing', () => {
    expect(names('sm')).toEqual(['Smokehouse', 'Places'])
  })
  it('is not found by one letter, by nothing, or by what stands nowhere', () => {
    for (const typed of ['', ' ', 's', 'zzz']) expect(names(typed)).toEqual([])
  })
  it('of one\'s own is not found on a shared tablet', () => {
    expect(names('password', false)).toEqual([])
    expect(names('password')).toEqual(['My own'])
  })
})

import { expect, it } from 'vitest'
import { upperFirst } from './upper-first'

it('begins a sentence, whatever is there', () => {
  expect(['on the rack', 'ähnlich', 'X', ''].map(upperFirst)).toEqual(['On the rack', 'Ähnlich', 'X', ''])
})

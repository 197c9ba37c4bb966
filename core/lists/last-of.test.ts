import { expect, it } from 'vitest'
import { lastOf } from './last-of'

it('the last of rows is found, and none has none', () => {
  expect(lastOf([1, 2, 3])).toBe(3)
  expect(() => lastOf([])).toThrow('no last of none')
})

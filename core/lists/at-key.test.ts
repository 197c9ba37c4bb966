import { expect, it } from 'vitest'
import { atKey } from './at-key'

it('what must be there is found, or said to be missing by its key', () => {
  const names = new Map([[7, 'Ada']])
  expect(atKey(names, 7)).toBe('Ada')
  expect(() => atKey(names, 8)).toThrow('Nothing is kept under 8.')
})

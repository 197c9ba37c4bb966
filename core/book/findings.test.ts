import { describe, expect, it } from 'vitest'
import { readSeal } from './findings'

const HASH = 'ab'.repeat(32)

describe('a seal as noted on paper', () => {
  it('is a record and its hash, however it was written down', () => {
    for (const text of [`334:${HASH}`, ` 334 , ${HASH.toUpperCase()} `])
      expect(readSeal(text)).toEqual({ id: 334, hash: HASH })
  })
  it('is none without either, or with a digit too few or too many', () => {
    for (const text of [HASH, '334', `334:${HASH.slice(1)}`, `334:${HASH}0`, `-3:${HASH}`, ''])
      expect(readSeal(text)).toBeNull()
  })
})

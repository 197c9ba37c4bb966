import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CODE_PREFIX, makeCode, readCode, type CodedKind } from './code'

describe('codes', () => {
  it.each([
    ['l 42', 'L-0042'],
    ['L42', 'L-0042'],
    ['l-0042', 'L-0042'],
    ['P-12345', 'P-12345'],
  ])('%s is %s', (typed, code) => expect(readCode(typed)?.code).toBe(code))
  it.each(['', 'X-1', 'L', 'L-0', '42', 'L-4b', '<b>', 'L-9999999999'])('%j is no code', typed =>
    expect(readCode(typed)).toBeNull(),
  )
  it('reads back what it makes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(CODE_PREFIX) as CodedKind[])),
        fc.integer({ min: 1, max: 999_999_999 }),
        (kind, n) => {
          expect(readCode(makeCode(kind, n))).toEqual({ kind, code: makeCode(kind, n) })
        },
      ),
    )
  })
})

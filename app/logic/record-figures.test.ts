import fc from 'fast-check'
import { expect, it } from 'vitest'
import { figuresOf } from './record-figures'

it('tells every figure of a record in words, in its own order', () => {
  expect(
    figuresOf({
      pieces: [{ weight: { netG: 1840, typed: '1.84 kg' } }, { weight: { netG: 2310.5, typed: '' } }],
      saltOnly: false,
      note: null,
      bags: [],
    }),
  ).toEqual([
    { where: 'pieces 1 weight net g', what: '1840' },
    { where: 'pieces 1 weight typed', what: '1.84 kg' },
    { where: 'pieces 2 weight net g', what: '2310.5' },
    { where: 'pieces 2 weight typed', what: '–' },
    { where: 'salt only', what: 'no' },
    { where: 'note', what: '–' },
    { where: 'bags', what: 'none' },
  ])
  expect(figuresOf({})).toEqual([])
})
it('loses none, whatever a record holds', () => {
  const leaves = (value: unknown): number =>
    typeof value !== 'object' || value === null
      ? 1
      : Math.max(
          1,
          Object.values(value).reduce<number>((sum, one) => sum + leaves(one), 0),
        )
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      expect(figuresOf({ value })).toHaveLength(leaves({ value }))
    }),
  )
})

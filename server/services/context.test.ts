import { describe, expect, it } from 'vitest'
import { refuse } from './context'

describe('a refusal', () => {
  it('carries its figures and the field it is about', () => {
    expect(refuse('no_such_pack', { code: 'P-0001' })).toEqual({
      ok: false,
      code: 'no_such_pack',
      params: { code: 'P-0001' },
    })
    expect(refuse('no_such_scale', {}, ['scaleId'])).toMatchObject({ path: ['scaleId'] })
  })
  it('without a figure that its words need does not compile', () => {
    const forbidden = [
      // @ts-expect-error the words need the code
      () => refuse('no_such_pack'),
      // @ts-expect-error another figure than the words need
      () => refuse('no_such_ingredient', { name: 'Salt' }),
      // @ts-expect-error grams as text
      () => refuse('cut_unaccounted', { unaccountedG: '3' }),
      // @ts-expect-error no such code
      () => refuse('no_such_thing'),
    ]
    expect(forbidden).toHaveLength(4)
  })
})

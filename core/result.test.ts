import { expect, it } from 'vitest'
import { fail, ok } from './result'

it('a failure is data: a code with the figures for its words, or the code alone', () => {
  expect(ok(3)).toEqual({ ok: true, value: 3 })
  expect(fail('empty')).toEqual({ ok: false, code: 'empty' })
  expect(fail('ambiguous_comma', { typed: '1,840' })).toEqual({
    ok: false,
    code: 'ambiguous_comma',
    params: { typed: '1,840' },
  })
  // @ts-expect-error its words need what was typed
  expect(fail('ambiguous_comma')).toMatchObject({ ok: false })
})

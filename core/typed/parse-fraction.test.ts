import { expect, it } from 'vitest'
import { parsePercent } from './parse-fraction'

const RANGE = { min: 0, max: 10 }

it.each([
  ['2.5', 0.025],
  ['2,5 %', 0.025],
  ['2 1/2%', 0.025],
  ['0', 0],
  ['10', 0.1],
])('"%s" per cent is the share %d', (typed, share) =>
  expect(parsePercent(typed, RANGE)).toMatchObject({ ok: true, value: expect.closeTo(share, 12) }))
it('outside its range it is refused with the range, as typed; what is no number as such', () => {
  expect(parsePercent(' 25 % ', RANGE)).toEqual({
    ok: false,
    code: 'percent_range',
    params: { typed: '25 %', min: 0, max: 10 },
  })
  expect(parsePercent('-1', RANGE)).toMatchObject({ code: 'percent_range' })
  expect(parsePercent('a bit', RANGE)).toMatchObject({ code: 'not_a_number' })
})

import { expect, it } from 'vitest'
import { row } from './rule-set'

it('a row counts ingoing nitrite as NaNO2 for any rind unless it says otherwise', () => {
  const given = { id: 'x', cutGroup: 'belly', method: 'dry', maxPpm: 150, source: 'text' } as const
  expect(row(given)).toEqual({
    ...given,
    rind: 'any',
    compound: 'nitrite',
    basis: 'ingoing_nano2',
    minPpm: null,
    choice: null,
    note: '',
  })
  expect(row({ ...given, rind: 'on', compound: 'nitrate', basis: 'ingoing_nano3', minPpm: 120, note: 'n' })).toMatchObject({
    rind: 'on',
    compound: 'nitrate',
    basis: 'ingoing_nano3',
    minPpm: 120,
    note: 'n',
  })
})

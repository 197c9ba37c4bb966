import { describe, expect, it } from 'vitest'
import { REFUSALS, type RefusalCode } from '#shared/messages/refusals/catalogue'
import { statusOf } from './status'

describe('the status of a refusal', () => {
  it('is 404 for what is not there in the address, and 422 for a field that names it', () => {
    expect([statusOf('no_such_meat', false), statusOf('no_such_meat', true)]).toEqual([404, 422])
  })
  it('is 409 for what is so already, whichever field was meant', () => {
    expect([statusOf('cure_over', false), statusOf('clock_ahead', true)]).toEqual([409, 409])
  })
  it('is one that HTTP knows, for every code', () => {
    const statuses = Object.keys(REFUSALS).map(code => statusOf(code as RefusalCode, false))
    expect(statuses.every(status => [400, 401, 403, 404, 409, 413, 415, 422, 429, 500, 503, 507].includes(status))).toBe(true)
    expect(new Set(statuses).size).toBe(12)
  })
})

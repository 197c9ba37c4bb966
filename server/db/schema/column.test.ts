import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { day, instant, json, nullable } from './column'

/** As MariaDB writes a DATETIME(3). */
const stored = (ms: number): string => new Date(ms).toISOString().replace('T', ' ').replace('Z', '')

describe('columns read what the database writes', () => {
  it('an instant to the millisecond, from the year 1000 to 9999', () => {
    const [first, last] = [Date.UTC(1000, 0, 1), Date.UTC(9999, 11, 31, 23, 59, 59, 999)]
    fc.assert(
      fc.property(fc.integer({ min: first, max: last }), (ms) => {
        expect(instant().read(stored(ms))).toBe(ms)
        expect(instant().portable.out(stored(ms))).toBe(new Date(ms).toISOString())
        expect(instant().portable.back(instant().portable.out(stored(ms)))).toBe(stored(ms))
      }),
    )
  })

  it('a day as it stands, and nothing where nothing stands', () => {
    expect(day().read('2026-03-08')).toBe('2026-03-08')
    for (const column of [day(), instant(), json()]) expect(nullable<unknown>(column).read(null)).toBeNull()
  })

  it('a JSON text that says a text', () => {
    expect(json().read('"L-0003"')).toBe('L-0003')
  })
})

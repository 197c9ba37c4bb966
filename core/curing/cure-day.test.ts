import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, instantOf, isZone, localTime } from '../calendar/local-day'
import { cureDay } from './cure-day'
import { ZONE, at } from '../fixtures/twine-samples'

describe('cure day', () => {
  it('day 0 lasts until midnight in the shop, whatever the hour of rubbing', () => {
    expect(cureDay('2026-03-05', at('2026-03-05', '23:59'), ZONE)).toBe(0)
    expect(cureDay('2026-03-05', at('2026-03-06', '00:00'), ZONE)).toBe(1)
  })
  it('survives both clock changes', () => {
    expect(cureDay('2026-03-07', at('2026-03-09', '00:30'), ZONE)).toBe(2)
    expect(cureDay('2026-10-31', at('2026-11-02', '00:30'), ZONE)).toBe(2)
    expect(localTime(at('2026-03-08', '02:30'), ZONE)).toBe('03:30')
  })
  it('steps by one at every local midnight, all year', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 800 }),
        fc.constantFrom(ZONE, 'Europe/London', 'Australia/Lord_Howe', 'UTC'),
        (n, zone) => {
          const midnight = instantOf(addDays('2026-01-01', n), '00:00', zone)
          expect(cureDay('2026-01-01', midnight, zone)).toBe(n)
          expect(cureDay('2026-01-01', midnight - 1, zone)).toBe(n - 1)
        },
      ),
    )
  })
  it('knows a zone from a wish', () => expect([isZone(ZONE), isZone('Mars/Olympus')]).toEqual([true, false]))
})

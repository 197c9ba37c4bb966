import { describe, expect, it } from 'vitest'
import { addDays, daysBetween, instantOf, isZone, localDay, localSecond, localTime } from './local-day'

const ZONE = 'America/Chicago'
const utc = (iso: string) => Date.parse(iso)

describe('days on the shop\'s wall', () => {
  it('an instant has the wall\'s day and clock, not the computer\'s', () => {
    expect(localDay(utc('2026-11-03T03:30:15Z'), ZONE)).toBe('2026-11-02')
    expect(localTime(utc('2026-11-03T03:30:15Z'), ZONE)).toBe('21:30')
    expect(localSecond(utc('2026-11-03T03:30:15Z'), ZONE)).toBe('2026-11-02 21:30:15')
    expect(localDay(utc('2026-11-02T20:30:00Z'), 'Asia/Kolkata')).toBe('2026-11-03')
  })
  it('days are counted by the calendar, across changes of the clock and leap days', () => {
    expect(daysBetween('2026-10-31', '2026-11-02')).toBe(2)
    expect(daysBetween('2028-02-28', '2028-03-01')).toBe(2)
    expect(daysBetween('2026-11-02', '2026-10-31')).toBe(-2)
    expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
    expect(addDays('2026-01-01', -1)).toBe('2025-12-31')
  })
  it('a time that the clock skips moves forward, one that comes twice is the first', () => {
    // United States, 2026: 02:00 to 03:00 on 8 March is skipped, 01:00 to 02:00 on 1 November comes twice.
    expect(localTime(instantOf('2026-03-08', '02:30', ZONE), ZONE)).toBe('03:30')
    expect(instantOf('2026-11-01', '01:30', ZONE)).toBe(utc('2026-11-01T06:30:00Z'))
    expect(instantOf('2026-06-01', '07:45', ZONE)).toBe(utc('2026-06-01T12:45:00Z'))
  })
  it('a zone is one that the time zone database knows', () => {
    expect(['Europe/Vienna', 'UTC', 'Shed/Backyard', ''].map(isZone)).toEqual([true, true, false, false])
    expect(() => localDay(0, 'Shed/Backyard')).toThrow(RangeError)
  })
})

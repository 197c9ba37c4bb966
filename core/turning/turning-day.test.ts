import { describe, expect, it } from 'vitest'
import { at, ZONE } from '../fixtures/twine-samples'
import { onTurningDay, turningDate, turningDay } from './turning-day'

describe('the turning day', () => {
  it('runs from four to four: midnight work belongs to the evening before', () => {
    expect(turningDate(at('2026-03-06', '03:59'), ZONE)).toBe('2026-03-05')
    expect(turningDate(at('2026-03-06', '04:00'), ZONE)).toBe('2026-03-06')
    expect(turningDay(at('2026-03-05', '22:00'), at('2026-03-06', '01:00'), ZONE)).toBe(0)
  })
  it('counts days, not hours, through both clock changes', () => {
    expect(turningDay(at('2026-03-07', '18:00'), at('2026-03-09', '04:00'), ZONE)).toBe(2)
    expect(turningDay(at('2026-10-31', '18:00'), at('2026-11-02', '03:59'), ZONE)).toBe(1)
  })
  it('an hour before four is of its night', () => {
    expect(onTurningDay('2026-03-05', '01:30', ZONE)).toBe(at('2026-03-06', '01:30'))
    expect(onTurningDay('2026-03-05', '18:00', ZONE)).toBe(at('2026-03-05', '18:00'))
  })
})

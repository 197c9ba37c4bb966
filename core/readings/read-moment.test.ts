import { describe, expect, it } from 'vitest'
import { readMoment } from './read-moment'
import { OPTIONS } from '../fixtures/read-table-samples'

const utc = (iso: string) => Date.parse(iso)

describe('moments as loggers write them', () => {
  it.each([
    ['2026-11-23 08:15', '2026-11-23T14:15Z'],
    ['2026-11-23T08:15:30', '2026-11-23T14:15:30Z'],
    ['2026-11-23T14:15Z', '2026-11-23T14:15Z'],
    ['2026-11-23T08:15-06:00', '2026-11-23T14:15Z'],
    ['23/11/2026 8:15', '2026-11-23T14:15Z'],
    ['8:15', '2026-11-23T14:15Z'],
  ])('%s', (text, instant) => expect(readMoment(text, OPTIONS)).toBe(utc(instant)))
  it('month first when the person writes so', () =>
    expect(readMoment('11/23/2026 8:15', { ...OPTIONS, dayFirst: false })).toBe(utc('2026-11-23T14:15Z')))
  it.each(['', 'soon', '31/02/2026 8:15', '25:00', '2026-13-01 08:00', '1e9'])('%j is none', text =>
    expect(readMoment(text, OPTIONS)).toBeNull(),
  )
})

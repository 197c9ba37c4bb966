import { describe, expect, it } from 'vitest'
import { instantOf } from '../calendar/local-day'
import { lateChips } from './late-chips'

const ZONE = 'Europe/Oslo'
const at = (time: string, date = '2026-11-26') => instantOf(date, time, ZONE)

describe('what is offered for something told late', () => {
  it('is minutes, this morning and last evening, by the shop\'s clock', () =>
    expect(lateChips(at('15:20'), ZONE)).toEqual([
      { said: 'ago', minutes: 10 },
      { said: 'ago', minutes: 20 },
      { said: 'ago', minutes: 30 },
      { said: 'ago', minutes: 60 },
      { said: 'this_morning', atMs: at('07:00') },
      { said: 'last_evening', atMs: at('18:00', '2026-11-25') },
    ]))
  it('leaves the morning out before it is over', () => {
    expect(lateChips(at('07:40'), ZONE).map(chip => chip.said)).not.toContain('this_morning')
    for (const chip of lateChips(at('00:10'), ZONE)) if (chip.said !== 'ago') expect(chip.atMs).toBeLessThan(at('00:10'))
  })
  it('never lies ahead, also on the days when clocks change', () => {
    for (const date of ['2026-03-29', '2026-10-25'])
      for (const hour of ['00:30', '03:30', '08:10', '23:50'])
        for (const chip of lateChips(at(hour, date), ZONE))
          if (chip.said !== 'ago') expect(chip.atMs).toBeLessThanOrEqual(at(hour, date))
  })
})

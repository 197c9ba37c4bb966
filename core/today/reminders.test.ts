import { describe, expect, it } from 'vitest'
import { MS_PER_HOUR, MS_PER_MINUTE } from '../units/quantities'
import { remindersOf } from './reminders'
import type { Task } from './task'

const at = (minutes: number) => minutes * MS_PER_MINUTE
const task = (more: Partial<Task>): Task => ({ kind: 'slice', subject: 'L-0001', byMs: null, late: false, ...more })

describe('what is reminded of', () => {
  it('is what had to last, from the moment its hours are over, for half an hour', () => {
    const frozen = task({ because: { why: 'after', going: 'rest', sinceMs: at(0), hours: { from: 0.75, to: 1 } }, byMs: at(60) })
    const said = (minutes: number) => remindersOf([frozen], at(minutes)).map(one => one.atMs)
    expect([said(44), said(45), said(74), said(75)]).toEqual([[], [at(45)], [at(45)], []])
    // Past its span it is said again, by that hour.
    expect(remindersOf([{ ...frozen, late: true }], at(61)).map(one => one.atMs)).toEqual([at(60)])
  })
  it('is a turn or a reading once its hour has come, and nothing that has none', () => {
    expect(remindersOf([task({ kind: 'turn', byMs: at(60) }), task({ kind: 'send' })], at(65))).toMatchObject([{ atMs: at(60) }])
    expect(remindersOf([task({ kind: 'read_smoke', byMs: at(70) })], at(65))).toEqual([])
  })
  it('has a name that stays, and tells pieces apart', () => {
    const keys = (nowMs: number) =>
      remindersOf([task({ byMs: MS_PER_HOUR, pieces: [1] }), task({ byMs: MS_PER_HOUR, pieces: [2] })], nowMs).map(one => one.key)
    expect(new Set(keys(at(61))).size).toBe(2)
    expect(keys(at(61))).toEqual(keys(at(80)))
  })
})

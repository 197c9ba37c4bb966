import { describe, expect, it } from 'vitest'
import { readTable } from './read-table'
import { OPTIONS } from '../fixtures/read-table-samples'

describe('a logger\'s table', () => {
  const table = (...rows: string[]) =>
    readTable(
      rows.map(row => row.split(';')),
      OPTIONS,
    )
  it('finds columns and units by their names', () => {
    const read = table('Zeit;Pit (F);Core °C', '08:00;176;12,5', '', '08:15;180;')
    expect(read.ok && read.value.map(r => [r.chamberC, r.coreC])).toEqual([
      [80, 12.5],
      [expect.closeTo(82.222, 3), null],
    ])
  })
  it('runs on past midnight', () => {
    const read = table('time;core', '23:50;60', '00:05;61', '00:20;62')
    expect(read.ok && read.value.map((r, i, all) => (i ? r.atMs - all[i - 1]!.atMs : 0))).toEqual([0, 900_000, 900_000])
  })
  it.each([
    [['a;b', '1;2'], 'csv_columns'],
    [['time;humidity', '08:00;3'], 'csv_columns'],
    [['', ''], 'csv_empty'],
    [['time;core', '', ''], 'csv_empty'],
    [['time;core', '08:00;hot'], 'csv_row'],
    [['time;core', 'later;60'], 'csv_row'],
    [['time;core', '08:00;900'], 'csv_row'],
  ])('refuses %j as %s', (rows, code) => expect(table(...rows)).toMatchObject({ ok: false, code }))
  it('names the line', () =>
    expect(table('time;core', '08:00;60', '', '08:30;x')).toMatchObject({ params: { row: 4 } }))
  it('reads a million blank lines in a moment and says there is nothing', () => {
    const started = performance.now()
    expect(readTable([['time', 'core'], ...Array.from({ length: 1_000_000 }, () => [''])], OPTIONS)).toMatchObject({
      code: 'csv_empty',
    })
    expect(performance.now() - started).toBeLessThan(20_000)
  })
})

import { MOST_READINGS } from '../rules/house'
import { fail, ok, type Result } from '../result'
import { parseTemperature } from '../typed/parse-temperature'
import { MS_PER_DAY, MS_PER_HOUR, type Celsius, type Milliseconds, type TemperatureUnit } from '../units/quantities'
import { readMoment, type MomentOptions } from './read-moment'

export interface TableReading {
  atMs: Milliseconds
  chamberC: Celsius | null
  coreC: Celsius | null
}
export interface TableOptions extends MomentOptions {
  /** Unit of columns that name none. */
  unit: TemperatureUnit
}
export type TableCode = 'csv_columns' | 'csv_empty' | 'csv_row' | 'csv_too_many'

const TIME = /time|date|clock|stamp|uhr|zeit/i
const CORE = /core|meat|internal|probe ?1|kern|food/i
const CHAMBER = /chamber|pit|smoker|oven|ambient|air|probe ?2/i
const FAHRENHEIT = /°\s*f|\(f\)|fahrenheit|[_ ]f$/i
const CELSIUS = /°\s*c|\(c\)|celsius|[_ ]c$/i

const isBlank = (row: readonly string[]) => row.every(cell => cell.trim() === '')
const unitOf = (name: string, bare: TemperatureUnit): TemperatureUnit =>
  FAHRENHEIT.test(name) ? 'F' : CELSIUS.test(name) ? 'C' : bare

/**
 * Readings from the cells of a logger's table, first row the column names. Columns are found by their names, units by
 * "°F" or "°C" in them. Blank lines are passed over. All or nothing: the first line that cannot be read is named.
 * A bare clock that runs back past midnight means the next day.
 */
export function readTable(
  rows: readonly (readonly string[])[],
  options: TableOptions,
): Result<TableReading[], TableCode> {
  const head = rows.findIndex(row => !isBlank(row))
  if (head < 0) return fail('csv_empty')
  const names = rows[head]!.map(name => name.trim())
  const time = names.findIndex(name => TIME.test(name))
  const core = names.findIndex(name => CORE.test(name))
  const chamber = names.findIndex((name, i) => i !== core && CHAMBER.test(name))
  if (time < 0 || (core < 0 && chamber < 0)) return fail('csv_columns', { columns: names.join(', ').slice(0, 120) })

  const found: TableReading[] = []
  let dayShiftMs = 0
  for (const [i, row] of rows.entries()) {
    if (i <= head || isBlank(row)) continue
    const wrong = fail('csv_row', { row: i + 1, typed: row.join(', ').slice(0, 80) })
    let atMs = readMoment(row[time] ?? '', options)
    if (atMs === null) return wrong
    const before = found.at(-1)
    const isBareClock = /^\d{1,2}:\d{2}/.test((row[time] ?? '').trim())
    atMs += isBareClock ? dayShiftMs : 0
    if (isBareClock && before && before.atMs - atMs > 12 * MS_PER_HOUR) {
      dayShiftMs += MS_PER_DAY
      atMs += MS_PER_DAY
    }
    const cell = (column: number): Celsius | null | undefined => {
      const text = column < 0 ? '' : (row[column] ?? '').trim()
      if (text === '') return null
      const parsed = parseTemperature(text, unitOf(names[column]!, options.unit))
      return parsed.ok ? parsed.value : undefined
    }
    const [chamberC, coreC] = [cell(chamber), cell(core)]
    if (chamberC === undefined || coreC === undefined) return wrong
    if (chamberC !== null || coreC !== null) found.push({ atMs, chamberC, coreC })
  }
  if (found.length === 0) return fail('csv_empty')
  if (found.length > MOST_READINGS) return fail('csv_too_many', { count: found.length, most: MOST_READINGS })
  return ok(found)
}

import { atKey } from '#core/lists/at-key'
import type { PackedReadings } from '#core/readings/packed-readings'
import { READINGS_PAGE, type RunReadingView } from '#shared/contracts/smoke'
import { aside } from '../../aside/pool'
import type { SmokeLine } from '../../aside/smoke-line'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/schema/table-spec'
import type { runs } from '../../db/tables/temperatures'
import type { MarkAt } from '../instruments/marks'

type RunRow = RowOf<typeof runs>
const COLUMNS = ['phase', 'atMs', 'chamberC', 'coreC', 'typed', 'source', 'coreOffsetC', 'chamberOffsetC'] as const

/** A page of a run's readings as they were taken, in order of time; `skip` counts back from the newest. */
export async function readingsPage(
  tables: Tables,
  run: RunRow,
  markAt: MarkAt,
  skip: number,
): Promise<RunReadingView[]> {
  const rows = await tables.runReadings.pick(
    COLUMNS,
    { runId: run.id },
    {
      order: [
        ['atMs', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: READINGS_PAGE,
      offset: skip,
    },
  )
  return rows
    .toReversed()
    .map(row => ({
      ...row,
      core: markAt(run.coreThermometerId, row.atMs),
      chamber: markAt(run.chamberThermometerId, row.atMs),
    }))
}

/** Lines of smokes that are looked at, each as long as its readings are kept. */
const lines = new WeakMap<PackedReadings, Promise<SmokeLine>>()

/** A run's line as it is drawn, and what all its readings come to. */
export async function runLine(tables: Tables, run: RunRow): Promise<SmokeLine> {
  const readings = atKey((await tables.heatRows([run])), run.id)
  const line = lines.get(readings) ?? aside('smokeLine', readings, readings.count)
  lines.set(readings, line)
  // What failed is tried again by the next who looks.
  line.catch(() => lines.delete(readings))
  return line
}

import { thinned } from '#core/readings/thin'
import { runFigures, type RunFigures } from '#core/smoke/run-figures'
import { POINTS_DRAWN, READINGS_PAGE, type RunPoint, type RunReadingView } from '#shared/contracts/smoke'
import type { Tables } from '../../db/database'
import type { RowOf } from '../../db/table-spec'
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

/** A run's line as it is drawn, and what all its readings come to. */
export async function runLine(
  tables: Tables,
  run: RunRow,
): Promise<{ count: number; points: RunPoint[]; figures: RunFigures }> {
  const rows = (await tables.heatRows([run])).get(run.id) ?? []
  const { credit, ...figures } = runFigures(
    rows.flatMap(row => (row.phase === 'smoke' && row.coreC !== null ? [{ atMs: row.atMs, coreC: row.coreC }] : [])),
  )
  let smoked = 0
  const points = rows.map(({ atMs, phase, chamberC, coreC }): RunPoint => ({
    atMs,
    phase,
    chamberC,
    coreC,
    log: phase === 'smoke' && coreC !== null ? credit[smoked++]! : null,
  }))
  return {
    count: rows.length,
    figures,
    points: thinned(points, [point => point.chamberC, point => point.coreC], POINTS_DRAWN),
  }
}

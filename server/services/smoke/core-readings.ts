import type { CoreReading } from '#core/smoke/core-reading'
import type { RowOf } from '../../db/table-spec'
import type { runReadings } from '../../db/tables/temperatures'

/** Core temperatures of a run by phase; rows in order of time. */
export function coreReadings(rows: readonly RowOf<typeof runReadings>[]): { smoke: CoreReading[], cool: CoreReading[] } {
  const of = (phase: 'smoke' | 'cool') => rows
    .filter(row => row.phase === phase && row.coreC !== null)
    .map(row => ({ atMs: row.atMs, coreC: row.coreC! }))
  return { smoke: of('smoke'), cool: of('cool') }
}

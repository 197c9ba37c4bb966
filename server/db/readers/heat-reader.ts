import { atKey } from '#core/lists/at-key'
import { sumOf } from '#core/lists/sum-of'
import { groupBy } from '#core/lists/group-by'
import { packReadings, type PackedReadings, type SmokeReading } from '#core/readings/packed-readings'
import type { Sequelize } from 'sequelize'
import { ask, type Within } from '../line/ask'
import { epochMs } from '../line/epoch-ms'

interface HeatRow extends SmokeReading {
  runId: number
}

/** Readings of each run in order of time, by its id. A logger's day is a hundred thousand rows: read lean. */
export async function readHeatRows(
  sequelize: Sequelize,
  runIds: readonly number[],
  within?: Within,
): Promise<Map<number, PackedReadings>> {
  const rows = runIds.length === 0
    ? []
    : await ask<HeatRow>(
        sequelize,
        `
      SELECT run_id AS runId, phase, ${epochMs('at')} AS atMs, CAST(chamber_c AS DOUBLE) AS chamberC, CAST(core_c AS DOUBLE) AS coreC
      FROM run_readings WHERE voided = 0 AND run_id IN (${runIds.map(Number).join(', ')}) ORDER BY at`,
        within,
      )
  const byRun = groupBy(rows, row => row.runId)
  return new Map(runIds.map(id => [id, packReadings(byRun.get(id) ?? [])]))
}

interface Kept {
  version: number | null
  readings: PackedReadings
}
/** Readings kept in memory, all together. */
const MOST_KEPT = 300_000

/** Readings of runs by run, kept from one question to the next while their run's version stands. */
export class HeatRows {
  private readonly kept = new Map<number, Kept>()
  constructor(private readonly sequelize: Sequelize) {}

  async of(runs: readonly { id: number; readingsVersion: number | null }[]): Promise<Map<number, PackedReadings>> {
    const asked = runs.filter((run) => {
      const kept = this.kept.get(run.id)
      return !kept || kept.version !== run.readingsVersion
    })
    const found = await readHeatRows(
      this.sequelize,
      asked.map(run => run.id),
    )
    const all = new Map(runs.map(run => [run.id, found.get(run.id) ?? atKey(this.kept, run.id).readings]))
    // Last used, last dropped.
    for (const run of runs) {
      this.kept.delete(run.id)
      this.kept.set(run.id, { version: run.readingsVersion, readings: atKey(all, run.id) })
    }
    let sum = sumOf([...this.kept.values()], one => one.readings.count)
    for (const [id, one] of this.kept) {
      if (sum <= MOST_KEPT) break
      this.kept.delete(id)
      sum -= one.readings.count
    }
    return all
  }
}

import type { Celsius, Milliseconds } from '#core/units/quantities'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { epochMs } from './epoch-ms'

/** A smoke's reading as it is judged and drawn: no more columns than that, numbers already. */
export interface HeatRow {
  runId: number
  phase: 'smoke' | 'cool'
  atMs: Milliseconds
  chamberC: Celsius | null
  coreC: Celsius | null
}

/** Readings of runs in order of time. A logger's day is a hundred thousand rows: read lean. */
export const readHeatRows = (
  sequelize: Sequelize,
  runIds: readonly number[],
  transaction?: Transaction,
): Promise<HeatRow[]> =>
  runIds.length === 0
    ? Promise.resolve([])
    : sequelize.query<HeatRow>(
        `
      SELECT run_id AS runId, phase, ${epochMs('at')} AS atMs, CAST(chamber_c AS DOUBLE) AS chamberC, CAST(core_c AS DOUBLE) AS coreC
      FROM run_readings WHERE voided = 0 AND run_id IN (${runIds.map(Number).join(', ')}) ORDER BY at`,
        { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
      )

interface Kept {
  version: number | null
  rows: readonly HeatRow[]
}
/** Readings kept in memory, all together. */
const MOST_KEPT = 300_000

/** Readings of runs by run, kept from one question to the next while their run's version stands. */
export class HeatRows {
  private readonly kept = new Map<number, Kept>()
  constructor(private readonly sequelize: Sequelize) {}

  async of(runs: readonly { id: number; readingsVersion: number | null }[]): Promise<Map<number, readonly HeatRow[]>> {
    const asked = runs.filter((run) => {
      const kept = this.kept.get(run.id)
      return !kept || kept.version !== run.readingsVersion
    })
    const found = new Map<number, HeatRow[]>(asked.map(run => [run.id, []]))
    for (const row of await readHeatRows(
      this.sequelize,
      asked.map(run => run.id),
    ))
      found.get(row.runId)!.push(row)
    const all = new Map(runs.map(run => [run.id, found.get(run.id) ?? this.kept.get(run.id)!.rows]))
    // Last used, last dropped.
    for (const run of runs) {
      this.kept.delete(run.id)
      this.kept.set(run.id, { version: run.readingsVersion, rows: all.get(run.id)! })
    }
    let sum = [...this.kept.values()].reduce((total, one) => total + one.rows.length, 0)
    for (const [id, one] of this.kept) {
      if (sum <= MOST_KEPT) break
      this.kept.delete(id)
      sum -= one.rows.length
    }
    return all
  }
}

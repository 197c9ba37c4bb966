import { MS_PER_DAY } from '#core/units/quantities'
import type { FirstThings, FloorView } from '#shared/contracts/cold-room'
import type { Tables } from '../../db/store'
import { present } from '../../db/where'
import { instrumentViews, loadMarks } from '../instruments/marks'
import { lotSummaries } from '../lots/lot-summaries'
import { freeBytes } from '../office/free-space'
import { shopView } from '../office/office'
import { storeConcern } from '../store/store-concern'

const READINGS_DAYS = 14
const READINGS_MOST = 400
const RUNS_MOST = 40

/** Each looked for, none counted: a shop of ten years has many. */
async function firstThings(tables: Tables): Promise<FirstThings> {
  const [salt, meat, pack] = await Promise.all([tables.ingredientLots.one({ kind: 'curing_salt' }), tables.meatLots.one({ state: 'in' }), tables.packs.one({})])
  return { salt: salt !== null, meat: meat !== null, packed: pack !== null }
}

/** The whole floor as it stands: lots, fridges and smoker runs. Today, the Cold room and the Slicing table read it. */
export async function floorView(tables: Tables, nowMs: number, dataFolder: string | null): Promise<FloorView> {
  const [shop, rows, fridges, runs] = await Promise.all([
    shopView(tables), tables.lots.find({}, { order: [['id', 'ASC']] }), tables.fridges.find(),
    tables.runs.find({}, { order: [['id', 'DESC']], limit: RUNS_MOST }),
  ])
  const [markAt, instruments, store] = await Promise.all([loadMarks(tables), instrumentViews(tables, nowMs), storeConcern(tables, nowMs)])
  const lots = await lotSummaries(tables, rows, nowMs)
  const fridgeViews = await Promise.all(fridges.map(async ({ id, name, thermometerId: hangsIn }) => {
    const newest = await tables.fridgeReadings.find({ fridgeId: id }, { order: [['atMs', 'DESC']], limit: READINGS_MOST })
    const readings = newest.filter(reading => reading.atMs > nowMs - READINGS_DAYS * MS_PER_DAY).toReversed()
    return { id, name, thermometerId: hangsIn, readings: readings.map(({ id: readingId, atMs, tempC, offsetC, thermometerId }) => ({ id: readingId, atMs, tempC, offsetC, instrument: markAt(thermometerId, atMs) })) }
  }))
  const runViews = await Promise.all(runs.map(async (run) => {
    const last = await tables.runReadings.one({ runId: run.id }, { order: [['atMs', 'DESC']] })
    const lastCore = last?.coreC === null ? await tables.runReadings.one({ runId: run.id, coreC: { [present]: null } }, { order: [['atMs', 'DESC']] }) : last
    const mine = lots.flatMap(lot => lot.runs).filter(lotRun => lotRun.code === run.code)
    return {
      code: run.code, smoker: run.smoker, startedAtMs: run.startedAtMs, pulledAtMs: run.pulledAtMs, lastReadingMs: last?.atMs ?? null, lastCoreC: lastCore?.coreC ?? null,
      cooled: mine.every(lotRun => lotRun.cooled), lots: lots.filter(lot => lot.runs.some(lotRun => lotRun.code === run.code)).map(lot => lot.code),
    }
  }))
  return { first: await firstThings(tables), freeBytes: await freeBytes(dataFolder), shop, lots, fridges: fridgeViews, runs: runViews, nowMs, store, instruments: instruments.filter(one => one.inUse).map(({ id, kind, purpose, name, state, dueMs, offsetC }) => ({ id, kind, purpose, name, state, dueMs, offsetC })) }
}

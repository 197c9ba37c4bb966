import { groupBy } from '#core/lists/group-by'
import { type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { FirstThings, FloorView, RunSummary } from '#shared/contracts/cold-room'
import type { LotSummary } from '#shared/contracts/lots'
import { PLACE_SHOWN } from '#shared/contracts/places'
import type { Tables } from '../../db/database'
import { present } from '../../db/schema/where'
import { marksAndBriefs } from '../instruments/marks'
import { LOT_SHOWN, lotSummaries } from './lot-summaries'
import { freeBytes } from '../office/free-space'
import { shopView } from '../shop/shop-facts'
import { placeViews } from './place-views'
import { storeConcern } from '../store/store-concern'

const RUNS_MOST = 40
/** Pulled longer ago, nobody asks when a smoke was last read. */
const LATELY_MS = 3 * MS_PER_DAY

/**
 * First steps are looked for, none counted: a shop of ten years has many. Who packed once has been through all of them.
 */
async function firstThings(tables: Tables): Promise<FirstThings> {
  const one = { limit: 1 }
  const packs = await tables.packs.pick([], {}, one)
  if (packs.length > 0) return { salt: true, meat: true, packed: true, lot: true }
  const [salt, meat, lot] = await Promise.all([
    tables.ingredientLots.pick([], { kind: 'curing_salt' }, one),
    tables.meatLots.pick([], { state: 'in' }, one),
    tables.lots.pick([], {}, one),
  ])
  return { salt: salt.length > 0, meat: meat.length > 0, packed: false, lot: lot.length > 0 }
}

/** Smokes: every one in the fire, and the latest; all but whether they are cooled, which their lots know. */
async function latestRuns(tables: Tables, nowMs: Milliseconds): Promise<Omit<RunSummary, 'cooled'>[]> {
  const [unpulled, latest] = await Promise.all([
    tables.runs.find({ pulledAtMs: null }),
    tables.runs.find({}, { order: [['id', 'DESC']], limit: RUNS_MOST }),
  ])
  const runs = [...new Map([...unpulled, ...latest].map(run => [run.id, run])).values()].toSorted((a, b) => b.id - a.id)
  const lately = runs.filter(run => (run.pulledAtMs ?? nowMs) > nowMs - LATELY_MS)
  const waiting = runs.filter(run => run.pulledAtMs === null)
  const [inRuns, lastRead] = await Promise.all([
    tables.thread.lotsOfRuns(runs.map(run => run.id)),
    tables.runReadings.pickEach(['runId', 'atMs', 'coreC'], {
      wheres: [...lately.map(run => ({ runId: run.id })), ...waiting.map(run => ({ runId: run.id, coreC: present }))],
      first: { order: [['atMs', 'DESC']], limit: 1 },
    }),
  ])
  const inTime = lastRead.toSorted((a, b) => a.atMs - b.atMs)
  const last = new Map(inTime.map(reading => [reading.runId, reading.atMs]))
  const cores = new Map(
    inTime.filter(reading => reading.coreC !== null).map(reading => [reading.runId, reading.coreC]),
  )
  const lotsOf = groupBy(inRuns, row => row.runId)
  return runs.map(run => ({
    code: run.code,
    smoker: run.smoker,
    startedAtMs: run.startedAtMs,
    pulledAtMs: run.pulledAtMs,
    lastReadingMs: last.get(run.id) ?? null,
    lastCoreC: run.pulledAtMs === null ? (cores.get(run.id) ?? null) : null,
    lots: (lotsOf.get(run.id) ?? []).map(row => row.code),
  }))
}

/** A lot that is finished was cooled. */
function withCooled(runs: readonly Omit<RunSummary, 'cooled'>[], openLots: readonly LotSummary[]): RunSummary[] {
  const warm = new Set(openLots.flatMap(lot => lot.runs.filter(run => !run.cooled).map(run => run.code)))
  return runs.map(run => ({ ...run, cooled: !warm.has(run.code) }))
}

/**
 * The floor as it stands: lots that somebody still has to do with, places and heats. Today, the Cold room and
 * the Slicing table read it.
 */
export async function floorView(tables: Tables, nowMs: Milliseconds, dataFolder: string | null): Promise<FloorView> {
  // First what most hangs on, and all beside it: a shop's tablet waits for the longest way, not for all of them.
  const openLots = tables.lots
    .pick(LOT_SHOWN, { finishedAtMs: null }, { order: [['id', 'ASC']] })
    .then(rows => lotSummaries(tables, rows, nowMs))
  const marks = marksAndBriefs(tables, nowMs - PLACE_SHOWN.forMs, nowMs)
  const [lots, shop, places, runs, { briefs }, store, first, free] = await Promise.all([
    openLots,
    shopView(tables),
    marks.then(({ markAt }) => placeViews(tables, markAt, nowMs)),
    latestRuns(tables, nowMs),
    marks,
    storeConcern(tables, nowMs),
    firstThings(tables),
    freeBytes(dataFolder),
  ])
  return {
    first,
    freeBytes: free,
    shop,
    lots,
    places,
    runs: withCooled(runs, lots),
    nowMs,
    store,
    instruments: briefs,
  }
}

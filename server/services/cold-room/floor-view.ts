import { groupBy } from '#core/lists/group-by'
import { type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { FirstThings, FloorView, RunSummary } from '#shared/contracts/cold-room'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { usesOf } from '#core/places/place-kind'
import type { Tables } from '../../db/database'
import { present, since } from '../../db/where'
import { marksAndBriefs, type MarkAt } from '../instruments/marks'
import { lotSummaries } from '../lots/lot-summaries'
import { freeBytes } from '../office/free-space'
import { shopView } from '../office/office'
import { storeConcern } from '../store/store-concern'

const READINGS_DAYS = 14
const READINGS_MOST = 400
const RUNS_MOST = 40
/** Pulled longer ago, nobody asks when a smoke was last read. */
const LATELY_MS = 3 * MS_PER_DAY

/** Each looked for, none counted: a shop of ten years has many. Who packed once has been through all of it. */
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

/** Places with their readings of the last days. */
async function placeViews(tables: Tables, markAt: MarkAt, nowMs: Milliseconds): Promise<PlaceView[]> {
  const places = await tables.places.find({ inUse: true }, { order: [['id', 'ASC']] })
  const newest = groupBy(
    await tables.placeReadings.pickEach(['placeId', 'atMs', 'tempC', 'rh', 'offsetC', 'thermometerId'], {
      wheres: places.map(({ id: placeId }) => ({ placeId, atMs: since(nowMs - READINGS_DAYS * MS_PER_DAY) })),
      first: { order: [['atMs', 'DESC']], limit: READINGS_MOST },
    }),
    reading => reading.placeId,
  )
  return places.map(place => ({
    id: place.id,
    code: place.code ?? '',
    name: place.name,
    kind: place.kind,
    uses: usesOf(place),
    inUse: place.inUse,
    thermometerId: place.thermometerId,
    hygrometerId: place.hygrometerId,
    targetC: place.targetC,
    targetRh: place.targetRh,
    shelves: place.shelves,
    hooks: place.hooks,
    readings: (newest.get(place.id) ?? [])
      .toReversed()
      .map(({ id: readingId, atMs, tempC, rh, offsetC, thermometerId }) => ({
        id: readingId,
        atMs,
        tempC,
        rh,
        offsetC,
        instrument: markAt(thermometerId, atMs),
      })),
  }))
}

/** Smokes: every one in the fire, and the latest. A lot that is finished was cooled. */
async function runSummaries(
  tables: Tables,
  openLots: readonly LotSummary[],
  nowMs: Milliseconds,
): Promise<RunSummary[]> {
  const [unpulled, latest] = await Promise.all([
    tables.runs.find({ pulledAtMs: null }),
    tables.runs.find({}, { order: [['id', 'DESC']], limit: RUNS_MOST }),
  ])
  const runs = [...new Map([...unpulled, ...latest].map(run => [run.id, run])).values()].toSorted((a, b) => b.id - a.id)
  const newest = { first: { order: [['atMs', 'DESC']], limit: 1 } } as const
  const lately = runs.filter(run => (run.pulledAtMs ?? nowMs) > nowMs - LATELY_MS)
  const [inRuns, lastRead] = await Promise.all([
    tables.thread.lotsOfRuns(runs.map(run => run.id)),
    tables.runReadings.pickEach(['runId', 'atMs'], { ...newest, wheres: lately.map(run => ({ runId: run.id })) }),
  ])
  const last = new Map(lastRead.map(reading => [reading.runId, reading.atMs]))
  const waiting = runs.filter(run => run.pulledAtMs === null)
  const cores = new Map(
    (
      await tables.runReadings.pickEach(['runId', 'coreC'], {
        ...newest,
        wheres: waiting.map(run => ({ runId: run.id, coreC: present })),
      })
    ).map(reading => [reading.runId, reading.coreC]),
  )
  const lotsOf = groupBy(inRuns, row => row.runId)
  const stillWarm = new Set(openLots.flatMap(lot => lot.runs.filter(run => !run.cooled).map(run => run.code)))
  return runs.map(run => ({
    code: run.code,
    smoker: run.smoker,
    startedAtMs: run.startedAtMs,
    pulledAtMs: run.pulledAtMs,
    lastReadingMs: last.get(run.id) ?? null,
    lastCoreC: cores.get(run.id) ?? null,
    cooled: !stillWarm.has(run.code),
    lots: (lotsOf.get(run.id) ?? []).map(row => row.code),
  }))
}

/**
 * The floor as it stands: lots that somebody still has to do with, places and heats. Today, the Cold room and
 * the Slicing table read it.
 */
export async function floorView(tables: Tables, nowMs: Milliseconds, dataFolder: string | null): Promise<FloorView> {
  const [shop, rows, { markAt, briefs }, store, first, free] = await Promise.all([
    shopView(tables),
    tables.lots.find({ finishedAtMs: null }, { order: [['id', 'ASC']] }),
    marksAndBriefs(tables, nowMs - READINGS_DAYS * MS_PER_DAY, nowMs),
    storeConcern(tables, nowMs),
    firstThings(tables),
    freeBytes(dataFolder),
  ])
  const [lots, places] = await Promise.all([lotSummaries(tables, rows, nowMs), placeViews(tables, markAt, nowMs)])
  return {
    first,
    freeBytes: free,
    shop,
    lots,
    places,
    runs: await runSummaries(tables, lots, nowMs),
    nowMs,
    store,
    instruments: briefs,
  }
}

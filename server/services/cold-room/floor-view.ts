import { groupBy } from '#core/lists/group-by'
import { type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import type { FirstThings, FloorView, RunSummary } from '#shared/contracts/cold-room'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { usesOf } from '#core/places/place-kind'
import type { Tables } from '../../db/database'
import { present, since } from '../../db/where'
import { instrumentBriefs, loadMarks, type MarkAt } from '../instruments/marks'
import { lotSummaries } from '../lots/lot-summaries'
import { freeBytes } from '../office/free-space'
import { shopView } from '../office/office'
import { storeConcern } from '../store/store-concern'

const READINGS_DAYS = 14
const READINGS_MOST = 400
const RUNS_MOST = 40

/** Each looked for, none counted: a shop of ten years has many. */
async function firstThings(tables: Tables): Promise<FirstThings> {
  const one = { limit: 1 }
  const [salt, meat, pack, lot] = await Promise.all([
    tables.ingredientLots.pick([], { kind: 'curing_salt' }, one),
    tables.meatLots.pick([], { state: 'in' }, one),
    tables.packs.pick([], {}, one),
    tables.lots.pick([], {}, one),
  ])
  return { salt: salt.length > 0, meat: meat.length > 0, packed: pack.length > 0, lot: lot.length > 0 }
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
async function runSummaries(tables: Tables, openLots: readonly LotSummary[]): Promise<RunSummary[]> {
  const [unpulled, latest] = await Promise.all([
    tables.runs.find({ pulledAtMs: null }),
    tables.runs.find({}, { order: [['id', 'DESC']], limit: RUNS_MOST }),
  ])
  const runs = [...new Map([...unpulled, ...latest].map(run => [run.id, run])).values()].toSorted((a, b) => b.id - a.id)
  const runId = runs.map(run => run.id)
  const newest = { first: { order: [['atMs', 'DESC']], limit: 1 } } as const
  const [inRuns, lastRead] = await Promise.all([
    tables.thread.lotsOfRuns(runId),
    tables.runReadings.pickEach(['runId', 'atMs'], { ...newest, wheres: runId.map(one => ({ runId: one })) }),
  ])
  const last = new Map(lastRead.map(reading => [reading.runId, reading.atMs]))
  const codes = await tables.lots.pick(['code'], { id: [...new Set(inRuns.map(row => row.lotId))] })
  const waiting = runs.filter(run => run.pulledAtMs === null)
  const cores = new Map(
    (
      await tables.runReadings.pickEach(['runId', 'coreC'], {
        ...newest,
        wheres: waiting.map(run => ({ runId: run.id, coreC: present })),
      })
    ).map(reading => [reading.runId, reading.coreC]),
  )
  const codeOf = new Map(codes.map(lot => [lot.id, lot.code]))
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
    lots: (lotsOf.get(run.id) ?? []).flatMap(row => codeOf.get(row.lotId) ?? []),
  }))
}

/**
 * The floor as it stands: lots that somebody still has to do with, places and heats. Today, the Cold room and
 * the Slicing table read it.
 */
export async function floorView(tables: Tables, nowMs: Milliseconds, dataFolder: string | null): Promise<FloorView> {
  const [shop, rows, markAt, instruments, store, first, free] = await Promise.all([
    shopView(tables),
    tables.lots.find({ finishedAtMs: null }, { order: [['id', 'ASC']] }),
    loadMarks(tables, nowMs - READINGS_DAYS * MS_PER_DAY),
    instrumentBriefs(tables, nowMs),
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
    runs: await runSummaries(tables, lots),
    nowMs,
    store,
    instruments,
  }
}

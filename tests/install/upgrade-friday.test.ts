import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '#core/units/quantities'
import { openStore, type Store } from '../../server/db/database'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { lookAtUnread } from '../../server/services/places/look-at-unread'
import { JUDGED_BY } from '#core/rules/judged-by'
import { beginClocks } from '../../server/services/upgrade/begin-clocks'
import { judgeAfresh } from '../../server/services/upgrade/judge-afresh'
import { lookAgain } from '../../server/services/upgrade/look-again'
import { walkBook } from '../support/book'
import type { FreshDatabase } from '../support/database'
import { databaseFrom } from '../support/dump'

/** Shops of earlier versions with meat in every room, as their back-ups hold them: what a start does to them. */
describe.each(['shop-0.4.0.sql.gz', 'shop-0.5.0-raced.sql.gz'])('the upgrade of %s', (file) => {
  let database: FreshDatabase
  let store: Store
  const startedMs = Date.now()
  const holds = async () => (await store.tables.holds.find({}, { order: [['id', 'ASC']] })).map(hold => [hold.id, hold.reason])
  const closed = async () =>
    (await store.tables.lots.find({}, { order: [['id', 'ASC']] })).filter(lot => lot.finishedAtMs !== null).map(lot => lot.judgement)
  const start = async (nowMs: number) => {
    await prepareDatabase({ admin: database.adminUrl, app: database.url })
    await lookAgain(store)
    const began = await beginClocks(store, nowMs)
    const judged = await judgeAfresh(store, () => nowMs, (_lots, error) => {
      throw error
    })
    return { began, judged }
  }
  beforeAll(async () => {
    database = await databaseFrom(file)
    await prepareDatabase({ admin: database.adminUrl, app: database.url })
    store = openStore(database.url, 4)
  })
  afterAll(async () => {
    await store.close()
    await database.drop()
  })

  it('begins its clocks once, on record, and holds nothing that was right yesterday', async () => {
    const before = await holds()
    const open = await store.tables.lots.pick(['judgement'], { finishedAtMs: null })
    const finished = await closed()
    expect(await start(startedMs)).toEqual({ began: true, judged: open.length })
    expect(await start(startedMs + MS_PER_HOUR)).toEqual({ began: false, judged: 0 })
    expect((await store.tables.shops.one({}))!.placesFromMs).toBe(startedMs)
    const told = (await store.tables.events.find({ kind: 'rules_changed' })).map(event => JSON.parse(event.computed) as { rule: string })
    expect(told.filter(one => one.rule === 'places_read')).toHaveLength(1)
    expect(await store.tables.lots.count({ finishedAtMs: null, judgedBy: JUDGED_BY })).toBe(open.length)
    expect(open.length).toBeGreaterThan(0)
    expect(await closed()).toEqual(finished)
    await lookAtUnread(store, startedMs + MS_PER_HOUR)
    expect(await holds()).toEqual(before)
    expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null })
  })
  it('holds what nobody reads for a day from then on, from the start on and not from before', async () => {
    const open = (await store.tables.lots.pick([], { finishedAtMs: null })).map(lot => lot.id)
    const lying = (await store.tables.pieces.pick(['lotId', 'placeId', 'stage', 'goneAtMs'], { lotId: open })).filter(
      piece => piece.goneAtMs === null && piece.placeId !== null && piece.stage !== 'heat',
    )
    await lookAtUnread(store, startedMs + 25 * MS_PER_HOUR)
    const made = await store.tables.holds.find({ reason: 'place_not_shown' })
    expect(new Set(made.map(hold => hold.lotId))).toEqual(new Set(lying.map(piece => piece.lotId)))
    expect(made.length).toBeGreaterThan(0)
    for (const hold of made) expect(hold.fromAtMs).toBeGreaterThanOrEqual(startedMs)
    expect(await walkBook(database.adminUrl)).toMatchObject({ broken: null })
  })
})

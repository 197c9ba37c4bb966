import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { MS_PER_HOUR } from '#core/units/quantities'
import { openStore, type Store } from '../../server/db/database'
import { prepareDatabase } from '../../server/db/prepare'
import { lookAtUnread } from '../../server/services/places/look-at-unread'
import { beginClocks } from '../../server/services/upgrade/begin-clocks'
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
  const start = async (nowMs: number) => {
    await prepareDatabase({ admin: database.adminUrl, app: database.url })
    await lookAgain(store)
    return beginClocks(store, nowMs)
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
    expect(await start(startedMs)).toBe(true)
    expect(await start(startedMs + MS_PER_HOUR)).toBe(false)
    expect((await store.tables.shops.one({}))!.placesFromMs).toBe(startedMs)
    expect(await store.tables.events.count({ kind: 'rules_changed' })).toBe(1)
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

import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { growShop } from '../../scripts/lib/grow/grow-shop.mjs'
import { openStore, type Store, type Tables } from '../../server/db/database'
import { connect } from '../../server/db/line/connect'
import { after } from '../../server/db/migrations/2026-11-29-steps'
import { after as placesAfter } from '../../server/db/migrations/2026-11-30-places'
import { verifyBook } from '../../server/db/integrity/verify-book'
import { between } from '../../server/db/schema/where'
import { eventPage } from '../../server/services/views/event-views'
import { floorView } from '../../server/services/views/floor-view'
import { threadView } from '../../server/services/ledger/thread-view'
import { benchView } from '../../server/services/views/bench-view'
import { lotList } from '../../server/services/views/lot-list'
import { lotView } from '../../server/services/views/lot-view'
import { officePeople } from '../../server/services/views/office-view'
import { recipeViews } from '../../server/services/recipes/recipes'
import { runView } from '../../server/services/views/run-view'
import { saltLedgerView } from '../../server/services/views/salt-ledger-view'
import { storeView } from '../../server/services/views/store-view'
import type { ComputedOf } from '../../shared/contracts/records'
import { freshDatabase, type FreshDatabase } from '../support/database'
import { tellAsOnce } from '../support/old-records'

/** The same shop young and older: what a page reads may not grow with the years. */
const [YOUNG, OLDER] = [40, 200]
const READINGS = 30
/** Lots are grown in pairs around the demo's, of which there is an odd number: one more than was asked for. */
const PAIRED = 1
/** Rows that a page may read more in the older shop: lists that are not full in the young one. */
const SLACK = { times: 1.3, rows: 1500 }
const person = {
  id: 1,
  name: 'A',
  initials: 'A',
  role: 'owner' as const,
  notation: { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' } as const,
}

interface Grown {
  database: FreshDatabase
  store: Store
}
let shops: Grown[] = []
const nowMs = Date.now()

async function grown(lots: number): Promise<Grown> {
  const database = await freshDatabase()
  await growShop({ adminUrl: database.adminUrl, url: database.url, lots, readingsARun: READINGS })
  // One line, so that what it reads can be counted.
  return { database, store: openStore(database.url, 1) }
}
beforeAll(async () => {
  shops = [await grown(YOUNG), await grown(OLDER)]
}, 180_000)
afterAll(async () => {
  for (const { database, store } of shops) {
    await store.close()
    await database.drop()
  }
})

async function rowsRead({ sequelize, tables }: Store, page: (tables: Tables) => Promise<unknown>): Promise<number> {
  const count = async () =>
    (
      await sequelize.query<{ Value: unknown }>('SHOW SESSION STATUS LIKE \'Handler_read%\'', { type: QueryTypes.SELECT })
    ).reduce((sum, row) => sum + Number(row.Value), 0)
  await page(tables)
  const before = await count()
  await page(tables)
  return (await count()) - before
}
const someLot = async (tables: Tables) =>
  (await tables.lots.find({ finishedAtMs: null }, { order: [['id', 'DESC']], limit: 1 }))[0]!.code
const PAGES: Record<string, (tables: Tables) => Promise<unknown>> = {
  'floor': tables => floorView(tables, nowMs, null),
  'store': tables => storeView(tables),
  'bench': tables => benchView(tables, nowMs),
  'lots': tables => lotList(tables, {}, nowMs),
  'the book': tables => eventPage(tables, undefined),
  'recipes': tables => recipeViews(tables),
  'salt ledger': tables => saltLedgerView(tables, nowMs),
  'office': tables => officePeople(tables, { person, sessionId: 0, onTablet: false, nowMs }),
  'a lot': async tables => lotView(tables, await someLot(tables), nowMs),
  'a smoke': async tables =>
    runView(tables, (await tables.runs.find({}, { order: [['id', 'DESC']], limit: 1 }))[0]!.code, nowMs),
}

describe('years', () => {
  it('a grown shop is a whole one: its chain and every row hold', async () => {
    for (const { store } of shops) expect(await verifyBook(store.slow)).toMatchObject({ found: 0, broken: null })
    expect(await Promise.all(shops.map(({ store }) => store.tables.lots.count()))).toEqual([YOUNG, OLDER].map(n => n + PAIRED))
    const open = await Promise.all(shops.map(({ store }) => store.tables.lots.count({ finishedAtMs: null })))
    expect(open[0]).toBe(open[1])
  })
  it('a record of an old lot names what is its own', async () => {
    const { tables } = shops[1]!.store
    const told = async <K extends 'run_read' | 'sliced' | 'lot_rubbed'>(kind: K) => {
      const [event] = await tables.events.find({ kind }, { order: [['id', 'ASC']], limit: 1 })
      return {
        subjects: JSON.parse(event!.subjects) as string[],
        computed: JSON.parse(event!.computed) as ComputedOf<K>,
      }
    }
    const { computed: read } = await told('run_read')
    const span = read.readings![0]!
    const added = await tables.runReadings.find({ id: between(...span) })
    expect(added).toHaveLength(READINGS)
    expect(new Set(added.map(reading => reading.runId))).toEqual(new Set([read.runId]))
    const { subjects, computed: sliced } = await told('sliced')
    const [lot] = await tables.lots.find({ code: subjects[0]! })
    expect(lot!.id).toBe(sliced.lotId)
    const packs = await tables.packs.find({ code: [...sliced.packCodes] })
    expect(packs.map(pack => pack.lotId)).toEqual(sliced.packCodes.map(() => lot!.id))
    const offcuts = await tables.offcuts.find({ id: [...sliced.offcutIds!] })
    expect(offcuts.map(offcut => offcut.lotId)).toEqual(sliced.offcutIds!.map(() => lot!.id))
    expect((await told('lot_rubbed')).computed.lotId).toBe(lot!.id)
  })
  it('steps worked out from rows and records are the steps as they were told', async () => {
    const { store, database } = shops[1]!
    const plain = async () => {
      const [steps, pressed] = await Promise.all([
        store.tables.steps.find(),
        store.tables.events.pick([], { kind: 'step' }),
      ])
      // What was told as a step alone, no shop from before could have told.
      const asStep = new Set(pressed.map(event => event.id))
      return steps
        .filter(step => !asStep.has(step.eventId!))
        .map(({ id: _id, ...step }) => JSON.stringify({ ...step, figures: null }))
        .toSorted((a, b) => (a < b ? -1 : 1))
    }
    await tellAsOnce(database)
    const told = await plain()
    expect(told.length).toBeGreaterThan(OLDER * 5)
    const admin = connect(database.adminUrl, 1)
    await database.sql(
      `UPDATE lots SET drained_at = NULL WHERE id IN (SELECT s.lot_id FROM steps s JOIN events e ON e.id = s.event_id
        WHERE s.kind = 'drain' AND e.kind = 'step')`,
    )
    await database.sql('DELETE FROM steps')
    await database.sql('UPDATE pieces SET stage = NULL, place_id = NULL, face = NULL, since = NULL, out_at = NULL')
    await after(admin)
    await placesAfter(admin)
    await admin.close()
    expect(await plain()).toEqual(told)
    const states = (await verifyBook(store.slow)).findings.filter(finding => finding.why === 'state_differs')
    expect(states).toEqual([])
  })
  it.each(Object.keys(PAGES))('%s reads no more rows when five times as many lots lie behind it', async (name) => {
    const [young, older] = [
      await rowsRead(shops[0]!.store, PAGES[name]!),
      await rowsRead(shops[1]!.store, PAGES[name]!),
    ]
    expect(older, `${young} rows, then ${older}`).toBeLessThanOrEqual(young * SLACK.times + SLACK.rows)
  })
  it('a page that reads all lots would be noticed', async () => {
    const all = (tables: Tables) => tables.packs.find()
    const [young, older] = [await rowsRead(shops[0]!.store, all), await rowsRead(shops[1]!.store, all)]
    expect(older).toBeGreaterThan(young * SLACK.times + SLACK.rows)
  })
  it('the thread of a bag that many lots were made of tells each gram once', async () => {
    const { store } = shops[1]!
    const [bag] = await store.sequelize.query<{ code: string; packs: unknown; massG: unknown }>(
      `SELECT n.code, COUNT(*) AS packs, SUM(p.net_g) AS massG
      FROM ingredient_lots n JOIN lot_ingredients u ON u.ingredient_lot_id = n.id JOIN packs p ON p.lot_id = u.lot_id
      AND p.voided = 0 GROUP BY n.id ORDER BY packs DESC LIMIT 1`,
      { type: QueryTypes.SELECT },
    )
    const answer = await threadView(store.tables, bag!.code)
    if (!answer.ok || !answer.value.outline) throw new Error('no outline')
    const { lots, customers, unsent } = answer.value.outline
    const sum = (rows: readonly { packs: number; massG: number }[]) =>
      rows.reduce((all, row) => ({ packs: all.packs + row.packs, massG: all.massG + row.massG }), {
        packs: 0,
        massG: 0,
      })
    for (const told of [sum(lots), sum([...customers, unsent])]) {
      expect(told.packs).toBe(Number(bag!.packs))
      expect(told.massG).toBeCloseTo(Number(bag!.massG), 3)
    }
  })
})

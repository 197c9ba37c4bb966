import { beforeEach, describe, expect, it } from 'vitest'
import { JUDGED_BY } from '#core/rules/judged-by'
import { MemoryShop } from '../../../tests/support/memory/shop'
import { dispose } from '../holds/holds'
import { judgeAfresh } from './judge-afresh'
import { newerRulesView } from './newer-rules-view'

let shop: MemoryShop
beforeEach(async () => {
  shop = await MemoryShop.open()
  await shop.askNoReadings()
})
const openLots = () => shop.tables.lots.find({ finishedAtMs: null }, { order: [['id', 'ASC']] })
/** Every open lot as a version before judged it: under a house maximum that is broken, where the newer rules are stricter. */
const byOld = ({ maxPpm = null as number | null } = {}) =>
  shop.store.transaction(async (tables) => {
    for (const { id, judgement } of await openLots())
      await tables.lots.update(id, { judgedBy: null, judgement: { ...judgement, house: { floorPpm: null, maxPpm } } })
  })
const judge = () =>
  judgeAfresh(shop.store, () => shop.nowMs, (_ids, error) => {
    throw error
  })
const holds = () => shop.tables.holds.find({}, { order: [['id', 'ASC']] })

describe('lots judged afresh after an upgrade', () => {
  it('are each judged once, on record, and nothing is held that the same rules let pass', async () => {
    expect(await judge()).toBe(0)
    await byOld()
    const before = await holds()
    const lots = await openLots()
    expect(await judge()).toBe(lots.length)
    expect(await holds()).toEqual(before)
    expect((await openLots()).map(lot => lot.judgedBy)).toEqual(lots.map(() => JUDGED_BY))
    expect((await openLots()).map(lot => lot.judgement.status)).toEqual(lots.map(lot => lot.judgement.status))
    expect(await judge()).toBe(0)
    const told = await shop.tables.events.find({ kind: 'rules_changed' }, { order: [['id', 'ASC']] })
    const named = told.flatMap(event => JSON.parse(event.subjects) as string[])
    expect(named.filter(code => code.startsWith('L-'))).toEqual(lots.map(lot => lot.code))
  })

  it('are held where a newer rule is broken, by its version; a decision stands, and a finished lot keeps its verdict', async () => {
    const all = await openLots()
    const cured = all.filter(lot => (lot.judgement.lot?.ppm ?? 0) > 120)
    await byOld({ maxPpm: 100 })
    await judge()
    const made = (await holds()).filter(hold => hold.byRules !== null)
    expect(made.length).toBeGreaterThan(2)
    expect(new Set(made.map(hold => hold.lotId))).toEqual(new Set(cured.map(lot => lot.id)))
    expect(new Set(made.map(hold => `${hold.reason} ${hold.byRules}`))).toEqual(new Set([`outside_house ${JUDGED_BY}`]))

    const decision = { disposition: 'release', text: 'within the law, and of the old house rule' } as const
    expect((await shop.press(ctx => dispose(ctx, made[0]!.id, decision))).ok).toBe(true)
    await byOld({ maxPpm: 100 })
    await judge()
    expect((await holds()).filter(hold => hold.byRules !== null)).toHaveLength(made.length)
  })

  it('are listed with what customers have of them, who those are and how to reach them', async () => {
    expect(await newerRulesView(shop.tables)).toEqual({ lots: [] })
    // A part of it is still in the shop, as in a lot that is sold piece by piece.
    const [sold] = (await shop.tables.packs.find({})).filter(pack => pack.dispatchId !== null)
    await shop.store.transaction(tables => tables.lots.update(sold!.lotId, { finishedAtMs: null }))
    await byOld({ maxPpm: 100 })
    await judge()
    const { lots } = await newerRulesView(shop.tables)
    for (const lot of lots) {
      const [row] = await shop.tables.lots.find({ code: lot.code })
      const sent = (await shop.tables.packs.find({ lotId: row!.id })).filter(pack => pack.dispatchId !== null)
      expect(lot.packs.map(pack => pack.code)).toEqual(sent.map(pack => pack.code))
      expect(lot.by).toBe(JUDGED_BY)
      for (const pack of lot.packs) expect(pack.customer).not.toBe('')
    }
    expect(lots.some(lot => lot.packs.length > 0)).toBe(true)
  })
})

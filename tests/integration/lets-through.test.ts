import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { walkBook } from '../support/book'
import { must } from '../support/must'
import type { Client } from '../support/client'
import { celsius, ingredient, receive, rub, stock, type Stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop, today } from '../support/shop'

/** What a careless maker could get past the product: each was rubbed, passed or sent before. */
let shop: TestShop
let maker: Client
let owner: Client
let s: Stock
const MINUTE = 60_000
const HOUR = 60 * MINUTE

beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  owner = await shop.signedIn(OWNER)
  s = await stock(maker, { weight: '200 kg' })
})
afterAll(() => shop.close())

const lotOf = async (code: string) => must(maker.get(`/api/lots/${code}`))

describe('no. 2 through a bulk mix', () => {
  let no2: string
  let spice: string
  const mixOf = (agent: string, weighed: string, more: unknown[] = []) =>
    maker.post('/api/mixes', {
      name: 'House',
      forKg: '10',
      ppm: '150',
      scaleId: s.mixScaleId,
      bestBefore: null,
      parts: [{ lotCode: agent, weighed }, { lotCode: s.salt, weighed: '225' }, ...more],
    })
  beforeAll(async () => {
    no2 = (
      await must(
        maker.post(
          '/api/ingredients',
          ingredient('curing_salt', {
            agentKind: 'no_2',
            certificate: {
              number: 'C-2',
              nitritePercent: '6.25',
              nitriteAs: 'NaNO2',
              tolerancePercent: '0.25',
              nitratePercent: '4',
            },
          }),
        ),
      )
    ).code
    spice = (
      await must(
        maker.post(
          '/api/ingredients',
          ingredient('spice', {
            composition: { saltPercent: '0', sugarPercent: '0', waterPercent: '0', allergens: [] },
          }),
        ),
      )
    ).code
  })
  it('is refused on a loin, where nitrate is allowed, as no. 2 itself is', async () => {
    const mix = (await must(mixOf(no2, '24'))).code
    const loin = await receive(maker, { cut: 'loin', weight: '10 kg' })
    const body = (lotCode: string, weighed: string) =>
      rub(s, {
        cut: 'loin',
        pieces: [{ meatCode: loin, weight: '2 kg' }],
        agent: { lotCode, weighed },
        salt: null,
        sugar: null,
        fromAgentOnly: true,
      })
    for (const lotCode of [mix, no2])
      expect(await maker.post('/api/lots', body(lotCode, '49.8'))).toMatchObject({
        status: 422,
        body: { code: 'agent_long_dried_only' },
      })
    expect(
      (await must(maker.get('/api/store'))).ingredients.find((one: { code: string }) => one.code === mix),
    ).toMatchObject({ kind: 'mix', agentKind: 'no_2', spicedOn: null })
  })
  it('a correction to such a mix asks the same question, and holds', async () => {
    const mix = (await must(mixOf(no2, '24'))).code
    const { code } = await must(maker.post('/api/lots', rub(s)))
    const part = (await lotOf(code)).ingredients.find((one: { role: string }) => one.role === 'agent')
    await must(maker.post('/api/corrections', { what: 'agent_used', id: part.id, value: mix, reason: 'the other tub' }))
    expect((await lotOf(code)).openHolds).toContain('wrong_agent')
  })
  it('a mix with seasonings is for the day it is made, and refused afterwards', async () => {
    const mix = (await must(mixOf(s.agent, '24', [{ lotCode: spice, weighed: '40' }]))).code
    const body = rub(s, {
      pieces: [{ meatCode: s.meat, weight: '2 kg' }],
      agent: { lotCode: mix, weighed: '57.8' },
      salt: null,
      sugar: null,
      fromAgentOnly: true,
    })
    expect(await maker.post('/api/lots', body)).toMatchObject({ status: 200 })
    await shop.sql('UPDATE ingredient_lots SET received_at = received_at - INTERVAL 1 DAY WHERE code = ?', [mix])
    expect(await maker.post('/api/lots', body)).toMatchObject({ status: 422, body: { code: 'mix_spiced_stored' } })
    await shop.sql('UPDATE ingredient_lots SET received_at = received_at + INTERVAL 1 DAY WHERE code = ?', [mix])
  })
  it('mixes of an older shop become what their curing salt is', async () => {
    const rows = await shop.sql<{ agent_kind: string }>('SELECT agent_kind FROM ingredient_lots WHERE kind = \'mix\'')
    expect(rows.map(row => row.agent_kind).filter(kind => kind === 'mix')).toEqual([])
  })
})

describe('salt as weighed', () => {
  it.each([['0.5'], ['874']])('%s g where 87.4 was planned is refused like too much nitrite', async weighed =>
    expect(await maker.post('/api/lots', rub(s, { salt: { lotCode: s.salt, weighed } }))).toMatchObject({
      status: 422,
      body: { code: 'salt_slip', errors: [{ path: ['salt', 'weighed'] }] },
    }),
  )
  it('off by more than a fifth it is said, and taken once it was typed a second time, alike', async () => {
    const salt = { lotCode: s.salt, weighed: '60' }
    expect(await maker.post('/api/lots', rub(s, { salt }))).toMatchObject({
      status: 422,
      body: { code: 'salt_off', detail: expect.stringMatching(/1\.79 % salt in all, and the plan is 2\.50 %/) },
    })
    expect(await maker.post('/api/lots', rub(s, { salt, saltAgain: '61' }))).toMatchObject({
      status: 422,
      body: { code: 'salt_off' },
    })
    expect(await maker.post('/api/lots', rub(s, { salt, saltAgain: '60 g' }))).toMatchObject({ status: 200 })
  })
  it('corrected to what no cure has, it holds', async () => {
    const { code } = await must(maker.post('/api/lots', rub(s)))
    const part = (await lotOf(code)).ingredients.find((one: { role: string }) => one.role === 'salt')
    await must(
      maker.post('/api/corrections', {
        what: 'ingredient_weighed',
        id: part.id,
        value: '8.7',
        reason: 'point misread',
      }),
    )
    expect((await lotOf(code)).openHolds).toContain('salt_outside')
  })
})

describe('heats', () => {
  async function outOfCure(): Promise<{ code: string; ids: number[] }> {
    const { code } = await must(maker.post('/api/lots', rub(s)))
    await must(maker.post(`/api/lots/${code}/out`, {}))
    return { code, ids: (await lotOf(code)).pieces.map((piece: { id: number }) => piece.id) }
  }
  const smokeOf = async (ids: number[], target = '63') =>
    (await must(maker.post('/api/runs', { smoker: 'Smoker', pieceIds: ids, targetCore: celsius(target) }))).code
  /** The run is moved back in the tables: services read no clock but the one they are given. */
  const backdate = (run: string, hours: number) =>
    shop.sql(`UPDATE runs SET started_at = started_at - INTERVAL ${hours} HOUR WHERE code = ?`, [run])
  const read = (run: string, phase: 'smoke' | 'cool', points: [hoursFromNow: number, coreC: number][]) => {
    const now = Date.now()
    return must(
      maker.post(`/api/runs/${run}/readings`, {
        phase,
        source: 'hand',
        readings: points.map(([hours, coreC]) => ({
          atMs: Math.round(now + hours * HOUR),
          chamber: null,
          core: celsius(String(coreC)),
        })),
      }),
    )
  }
  const decide = async (code: string, reason: string) => {
    const hold = (await lotOf(code)).holds.find(
      (one: { reason: string; disposition: string | null }) => one.reason === reason && one.disposition === null,
    )
    await must(owner.post(`/api/holds/${hold.id}/disposition`, { disposition: 'release', text: 'looked at, released' }))
  }

  it('a decision covers the heat it was made on, and a later heat holds again', async () => {
    const { code, ids } = await outOfCure()
    const first = await smokeOf(ids)
    await backdate(first, 30)
    await read(first, 'smoke', [
      [-30, 8],
      [-23, 40],
      [-22.9, 64],
    ])
    expect((await lotOf(code)).openHolds).toEqual(['come_up_late'])
    await decide(code, 'come_up_late')
    // More readings of the same heat are not new facts.
    await read(first, 'smoke', [[-22.5, 65]])
    expect((await lotOf(code)).openHolds).toEqual([])
    await must(maker.post(`/api/runs/${first}/pull`, {}))
    await shop.sql('UPDATE runs SET pulled_at = pulled_at - INTERVAL 22 HOUR WHERE code = ?', [first])
    await read(first, 'cool', [
      [-22.2, 54],
      [-21, 40],
      [-19.5, 27],
      [-19.2, 26],
      [-12, 6],
    ])
    expect((await lotOf(code)).openHolds).toEqual([])
    const second = await smokeOf(ids, '68')
    await backdate(second, 11)
    await read(second, 'smoke', [
      [-11, 7],
      [-3, 52],
      [-2.9, 66],
    ])
    expect((await lotOf(code)).openHolds).toEqual(['come_up_late'])
    expect((await lotOf(code)).holds.map((hold: { reason: string }) => hold.reason)).toEqual([
      'come_up_late',
      'come_up_late',
    ])
  })
  it('a first reading of 66 °C is three hours where the fridge shows the start, and not shown where nobody measured', async () => {
    const unseen = await outOfCure()
    const run = await smokeOf(unseen.ids)
    await backdate(run, 3)
    await read(run, 'smoke', [[0, 66]])
    expect((await lotOf(unseen.code)).openHolds).toEqual(['come_up_not_shown'])
    // The fridge was read cold yesterday and this morning.
    await must(maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3') }))
    await must(maker.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius('3.2') }))
    await shop.sql(
      'UPDATE place_readings SET at = at - INTERVAL 9 HOUR WHERE id = (SELECT MAX(id) - 1 FROM place_readings)',
    )
    await shop.sql(
      'UPDATE place_readings SET at = at - INTERVAL 4 HOUR WHERE id = (SELECT MAX(id) FROM place_readings)',
    )
    const seen = await outOfCure()
    // It lay there all night.
    await shop.sql(
      'UPDATE steps s JOIN lots l ON l.id = s.lot_id SET s.from_at = s.from_at - INTERVAL 12 HOUR, '
      + 's.to_at = s.to_at - INTERVAL 12 HOUR WHERE l.code = ? AND s.kind = \'rub\'',
      [seen.code],
    )
    const other = await smokeOf(seen.ids)
    await backdate(other, 3)
    await read(other, 'smoke', [[0, 66]])
    expect((await lotOf(seen.code)).openHolds).toEqual([])
    const [{ rise }] = (await must(maker.get(`/api/runs/${other}`))).lots
    expect(rise).toMatchObject({ status: 'in_time', elapsedMs: expect.closeTo(3 * HOUR, -4) })
  })
  it('a night between two cooling readings shows nothing, and holds', async () => {
    const { code, ids } = await outOfCure()
    const run = await smokeOf(ids)
    await backdate(run, 14)
    await read(run, 'smoke', [
      [-14, 8],
      [-12, 50],
      [-11.5, 64],
    ])
    await must(maker.post(`/api/runs/${run}/pull`, {}))
    await shop.sql('UPDATE runs SET pulled_at = pulled_at - INTERVAL 11 HOUR WHERE code = ?', [run])
    await read(run, 'cool', [
      [-11, 58],
      [0, 5],
    ])
    expect((await lotOf(code)).openHolds).toEqual(['cooling_not_shown'])
    await decide(code, 'cooling_not_shown')
    await read(run, 'cool', [[0.05, 4.5]])
    expect((await lotOf(code)).openHolds).toEqual([])
  })
  it('a cold smoke ends without a core reading, stays raw, and blocks nothing; too many hours of it hold', async () => {
    const { code, ids } = await outOfCure()
    const run = await smokeOf(ids, '25')
    await backdate(run, 6)
    expect(await must(maker.post(`/api/runs/${run}/pull`, {}))).toMatchObject({ outcome: 'raw_smoked' })
    expect((await lotOf(code)).runs).toMatchObject([{ code: run, cold: true, cooled: true }])
    expect((await lotOf(code)).openHolds).toEqual([])
    const long = await smokeOf(ids, '25')
    await backdate(long, 50)
    await must(maker.post(`/api/runs/${long}/pull`, {}))
    expect((await lotOf(code)).openHolds).toEqual(['cold_smoke_long'])
    const hot = await outOfCure()
    expect(await maker.post(`/api/runs/${await smokeOf(hot.ids)}/pull`, {})).toMatchObject({
      status: 422,
      body: { code: 'no_core_reading' },
    })
  })
  it('a heat followed by another blocks nothing by itself', async () => {
    const { code, ids } = await outOfCure()
    const first = await smokeOf(ids)
    await backdate(first, 4)
    await read(first, 'smoke', [
      [-4, 8],
      [-3, 50],
      [-2.7, 61],
      [-2.5, 64],
    ])
    await must(maker.post(`/api/runs/${first}/pull`, {}))
    const glaze = await smokeOf(ids, '66')
    await backdate(glaze, 2)
    await read(glaze, 'smoke', [
      [-2, 50],
      [-1.6, 66],
    ])
    await must(maker.post(`/api/runs/${glaze}/pull`, {}))
    expect((await lotOf(code)).runs.map((one: { cooled: boolean }) => one.cooled)).toEqual([true, false])
    await read(glaze, 'cool', [
      [-1.5, 50],
      [-1, 26],
      [-0.5, 6],
    ])
    expect((await lotOf(code)).runs.map((one: { cooled: boolean }) => one.cooled)).toEqual([true, true])
    expect((await lotOf(code)).openHolds).toEqual([])
  })
})

describe('only the law that holds', () => {
  it('finished belly over its green weight is held under the United States set, and nowhere else', async () => {
    for (const [ruleSetId, holds] of [
      ['us', ['over_green_weight']],
      ['uk', []],
    ] as const) {
      await must(owner.put('/api/office/rules-in-force', { ruleSetId, targetPpm: '130', floorPpm: null, maxPpm: null }))
      const { code } = await must(
        maker.post(
          '/api/lots',
          rub(s, {
            agent: { lotCode: s.agent, weighed: '8' },
            targets: { saltShare: '2.5', sugarShare: '1', saltBasis: 'total', nitritePpm: '130' },
          }),
        ),
      )
      await must(maker.post(`/api/lots/${code}/out`, {}))
      await must(
        maker.post(`/api/lots/${code}/slicing`, {
          readyWeight: '3.9 kg',
          packedOn: today(),
          packs: [],
          offcuts: [],
        }),
      )
      expect((await lotOf(code)).openHolds).toEqual(holds)
    }
    await must(
      owner.put('/api/office/rules-in-force', { ruleSetId: 'us', targetPpm: '150', floorPpm: null, maxPpm: null }),
    )
  })
  it('one sugar limit, the same for a lot and a recipe', async () => {
    const targets = (sugarShare: string) => ({ saltShare: '2.5', sugarShare, saltBasis: 'total', nitritePpm: '150' })
    expect(await maker.post('/api/lots', rub(s, { targets: targets('20.1') }))).toMatchObject({ status: 422 })
    expect(await maker.post('/api/lots', rub(s, { targets: targets('18') }))).toMatchObject({ status: 200 })
  })
  it('a syrup counts by its real sugar', async () => {
    const syrup = (
      await must(
        maker.post(
          '/api/ingredients',
          ingredient('sugar', {
            name: 'Maple syrup',
            composition: { saltPercent: '0', sugarPercent: '67', waterPercent: '33', allergens: [] },
          }),
        ),
      )
    ).code
    const { code } = await must(maker.post('/api/lots', rub(s, { sugar: { lotCode: syrup, weighed: '57' } })))
    const part = (await lotOf(code)).ingredients.find((one: { role: string }) => one.role === 'sugar')
    // 1 % of 3,840 g is 38.4 g of sugar: 57.3 g of syrup.
    expect(part.plannedG).toBeCloseTo(38.4 / 0.67, 1)
  })
})

it('rows that tests moved in time apart, the book holds', async () => {
  const { findings } = await walkBook(shop.adminUrl)
  expect(findings.filter(found => found.table === undefined)).toEqual([])
})

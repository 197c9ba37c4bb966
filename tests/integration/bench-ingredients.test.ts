import { describe, expect, it } from 'vitest'
import { BenchShop, certificate } from '../support/bench-shop'
import { ingredient, receive, rub } from '../support/goods'

const here = new BenchShop()

describe('agents', () => {
  it('a label\'s share is understood however it is written', async () => {
    for (const nitritePercent of ['6.25', '0.0625', '6,25 %']) {
      const lot = await here.agentLot('no_1', { nitritePercent })
      expect(
        (await here.maker.get('/api/store')).body.ingredients.find((one: { code: string }) => one.code === lot).agent
          .nitriteFraction,
      ).toBeCloseTo(0.0625, 9)
    }
    expect(
      await here.maker.post(
        '/api/ingredients',
        ingredient('curing_salt', { certificate: certificate({ nitritePercent: '62.5' }) }),
      ),
    ).toMatchObject({ body: { errors: [{ code: 'nitrite_too_strong' }] } })
    expect(
      await here.maker.post(
        '/api/ingredients',
        ingredient('curing_salt', { agentKind: 'vegetable_powder', certificate: null }),
      ),
    ).toMatchObject({ body: { errors: [{ code: 'certificate_missing' }] } })
  })
  it.each([
    ['no. 2 on bacon', 'no_2', { nitratePercent: '4' }, {}, 'agent_long_dried_only', 'no. 1'],
    [
      'home cure',
      'home_cure',
      { nitritePercent: '0.5', nitratePercent: '0.5', saltPercent: '85', sugarPercent: '14', tolerancePercent: '0.03' },
      {},
      'nitrate_refused',
      'no. 1',
    ],
    [
      'saltpetre',
      'saltpetre',
      { nitritePercent: '0', nitratePercent: '100', nitrateAs: 'KNO3' },
      {},
      'nitrate_refused',
      'no. 1',
    ],
    ['an expired lot', 'no_1', {}, { bestBefore: '2020-01-01' }, 'agent_expired', 'in date'],
  ])('%s is refused, with why and what to use', async (_name, kind, label, lot, refusal, words) => {
    const before = await here.lots()
    const reply = await here.post(rub(here.stocked, { agent: { lotCode: await here.agentLot(kind, label, lot), weighed: '9.2' } }))
    expect(reply).toMatchObject({ status: 422, body: { code: refusal, errors: [{ path: ['agent', 'lotCode'] }] } })
    expect(reply.body.detail).toContain(words)
    expect(await here.lots()).toBe(before)
  })
  it('iodised salt is refused, and a seasoning past its date', async () => {
    const iodised = await here.code(ingredient('salt', { iodised: true }))
    expect(await here.post(rub(here.stocked, { salt: { lotCode: iodised, weighed: '87.4' } }))).toMatchObject({
      body: { code: 'salt_iodised' },
    })
    const old = await here.code(ingredient('spice', { bestBefore: '2020-01-01' }))
    expect(
      await here.post(rub(here.stocked, { seasonings: [{ lotCode: old, weighed: '5', per: 'percent', amount: '0.2', pieces: null }] })),
    ).toMatchObject({ body: { code: 'ingredient_expired' } })
  })
  it('no. 2 goes on what is long dried, where the rules allow nitrate', async () => {
    const loin = await receive(here.maker, { cut: 'loin', weight: '10 kg' })
    const no2 = await here.agentLot('no_2', { nitratePercent: '4' })
    const body = rub(here.stocked, {
      cut: 'loin',
      purpose: 'dried',
      pieces: [{ meatCode: loin, weight: '3.84 kg' }],
      agent: { lotCode: no2, weighed: '9.2' },
    })
    const rubbed = await here.code(body, '/api/lots')
    expect((await here.view(rubbed)).judgement.nitrate).toMatchObject({ maxPpm: 2187 })
    expect((await here.view(rubbed)).judgement.nitrate.ppm).toBeCloseTo((1e6 * 9.2 * 0.04) / 3840, 6)
    expect(await here.post({ ...body, cut: 'belly', pieces: [{ meatCode: here.stocked.meat, weight: '3.84 kg' }] })).toMatchObject({
      body: { code: 'nitrate_refused' },
    })
  })
})

describe('seasonings', () => {
  it('that already exceed the salt are named; those for half the pieces stay theirs, and allergens show', async () => {
    const soy = await here.code(
      ingredient('spice', {
        name: 'Soy sauce',
        amount: '3 kg',
        composition: { saltPercent: '16', sugarPercent: '2', waterPercent: '70', allergens: ['soy', 'wheat'] },
      }),
    )
    const one = (amount: string, pieces: number[] | null, weighed: string) => ({
      lotCode: soy,
      per: 'g_per_kg',
      amount,
      pieces,
      weighed,
    })
    const over = await here.post(rub(here.stocked, { seasonings: [one('200', null, '768')] }))
    expect(over).toMatchObject({ status: 422, body: { code: 'salt_already_exceeded' } })
    expect(over.body.detail).toContain('Soy sauce')
    expect(await here.post(rub(here.stocked, { seasonings: [one('20', [3], '40')] }))).toMatchObject({
      body: { errors: [{ code: 'piece_not_here' }] },
    })
    const rubbed = await here.code(
      rub(here.stocked, {
        pieces: [
          { meatCode: here.stocked.meat, weight: '1840', bag: 1 },
          { meatCode: here.stocked.meat, weight: '2 kg', bag: 1 },
        ],
        seasonings: [one('20', [2], '40')],
      }),
      '/api/lots',
    )
    const lot = await here.view(rubbed)
    expect(lot.allergens).toEqual(['soy', 'wheat'])
    expect(lot.pieces.map((piece: { bag: number }) => piece.bag)).toEqual([1, 1])
    expect(lot.ingredients.find((part: { role: string }) => part.role === 'spice')).toMatchObject({
      plannedG: 40,
      weighedG: 40,
      pieceNumbers: [2],
    })
    expect(
      await here.maker.post(
        '/api/ingredients',
        ingredient('spice', {
          composition: { saltPercent: '60', sugarPercent: '50', waterPercent: '0', allergens: [] },
        }),
      ),
    ).toMatchObject({ body: { errors: [{ code: 'more_than_whole' }] } })
  })
})

describe('a bulk mix', () => {
  it('is a lot of its own, dispensed by weight, and the curing salt in it is in the ledger', async () => {
    const part = (lotCode: string, weighed: string) => ({ lotCode, weighed })
    const body = {
      name: 'House mix',
      forKg: '30',
      ppm: '150',
      scaleId: here.stocked.mixScaleId,
      bestBefore: null,
      parts: [part(here.stocked.agent, '72'), part(here.stocked.salt, '682.5'), part(here.stocked.sugar, '300')],
    }
    expect(await here.maker.post('/api/mixes', { ...body, parts: body.parts.slice(1) })).toMatchObject({
      body: { code: 'mix_without_agent' },
    })
    expect(
      await here.maker.post('/api/mixes', { ...body, parts: [part(here.stocked.agent, '92'), ...body.parts.slice(1)] }),
    ).toMatchObject({ body: { code: 'mix_misses' } })
    const mix = await here.code(body, '/api/mixes')
    const rubbed = await here.code(
      rub(here.stocked, { agent: part(mix, '135.0'), salt: null, sugar: null, fromAgentOnly: true }),
      '/api/lots',
    )
    expect((await here.view(rubbed)).judgement.lot.ppm).toBeCloseTo((((1e6 * 135 * 72) / 1054.5) * 0.0625) / 3840, 2)
    const shelf = (await here.maker.get('/api/store')).body.ingredients.find((one: { code: string }) => one.code === mix)
    expect(shelf).toMatchObject({
      kind: 'mix',
      leftG: 1054.5 - 135,
      parts: [{ code: here.stocked.agent, massG: 72 }, { massG: 682.5 }, { massG: 300 }],
    })
    const ledger = (await here.maker.get('/api/salt-ledger')).body.lots.find((lot: { code: string }) => lot.code === here.stocked.agent)
    expect(ledger.lines.filter((line: { lot: string | null }) => line.lot === mix)).toMatchObject([
      { kind: 'used', outG: 72 },
    ])
    const thread = (await here.maker.get(`/api/thread/${here.stocked.salt}`)).body
    expect(thread.links).toEqual(
      expect.arrayContaining([
        { from: here.stocked.salt, to: mix },
        { from: mix, to: rubbed },
      ]),
    )
    expect((await here.maker.get(`/api/thread/${rubbed}`)).body.nodes.map((node: { code: string }) => node.code)).toEqual(
      expect.arrayContaining([here.stocked.agent, mix]),
    )
    expect(
      await here.post(rub(here.stocked, { agent: part(mix, '2 kg'), salt: null, sugar: null, fromAgentOnly: true })),
    ).toMatchObject({ body: { code: 'ingredient_used_up' } })
  })
  it('with a seasoning in it carries its salt, sugar, water and allergens into what is rubbed', async () => {
    const part = (lotCode: string, weighed: string) => ({ lotCode, weighed })
    const soy = await here.code(
      ingredient('spice', {
        name: 'Soy sauce',
        amount: '3 kg',
        composition: { saltPercent: '16', sugarPercent: '2', waterPercent: '70', allergens: ['soy', 'wheat'] },
      }),
    )
    const mix = await here.code(
      {
        name: 'Dark mix',
        forKg: '10',
        ppm: '150',
        scaleId: here.stocked.mixScaleId,
        bestBefore: null,
        parts: [part(here.stocked.agent, '24'), part(here.stocked.salt, '211.5'), part(soy, '100')],
      },
      '/api/mixes',
    )
    const { composition, allergens } = (await here.maker.get('/api/store')).body.ingredients.find(
      (one: { code: string }) => one.code === mix,
    )
    expect(composition.saltFraction).toBeCloseTo((24 * 0.9375 + 211.5 + 100 * 0.16) / 335.5, 7)
    expect(composition).toMatchObject({
      sugarFraction: expect.closeTo(2 / 335.5, 7),
      waterFraction: expect.closeTo(70 / 335.5, 7),
    })
    expect(allergens).toEqual(['soy', 'wheat'])
    const rubbed = await here.code(
      rub(here.stocked, { agent: part(mix, '128.8'), salt: null, sugar: null, fromAgentOnly: true }),
      '/api/lots',
    )
    expect((await here.view(rubbed)).allergens).toEqual(['soy', 'wheat'])
  })
})

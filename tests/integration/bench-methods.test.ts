import { describe, expect, it } from 'vitest'
import { BenchShop } from '../support/bench-shop'
import { receive, rub } from '../support/goods'

const here = new BenchShop()

describe('every method, judged by what its ppm means', () => {
  it('two applications: the rest counts as planned, then as weighed, and may not pass the limit', async () => {
    const rubbed = await here.code(
      rub(here.stocked, {
        method: 'two_applications',
        firstShare: '50',
        agent: { lotCode: here.stocked.agent, weighed: '4.6' },
        salt: { lotCode: here.stocked.salt, weighed: '43.7' },
        sugar: { lotCode: here.stocked.sugar, weighed: '19.2' },
      }),
      '/api/lots',
    )
    const before = await here.view(rubbed)
    expect(before).toMatchObject({ secondDue: true, judgement: { status: 'inside', meaning: 'exact' } })
    const second = (agentG: string, lotCode = here.stocked.agent) =>
      here.maker.post(`/api/lots/${rubbed}/second-application`, {
        agent: { lotCode, weighed: agentG },
        salt: { lotCode: here.stocked.salt, weighed: '43.7' },
        sugar: null,
        mixScaleId: here.stocked.mixScaleId,
      })
    expect(await second('9')).toMatchObject({ status: 422, body: { code: 'rub_above_limit' } })
    expect(await second('4.6', await here.agentLot('no_2'))).toMatchObject({ body: { code: 'second_other_agent' } })
    expect((await here.view(rubbed)).ingredients).toHaveLength(3)
    expect(await second('4.6')).toMatchObject({ status: 200 })
    expect(await second('4.6')).toMatchObject({ status: 409, body: { code: 'no_second_due' } })
    const now = await here.view(rubbed)
    expect(now).toMatchObject({ secondDue: false, judgement: { status: 'inside' } })
    expect(now.judgement.lot.ppm).toBeCloseTo((1e6 * 9.2 * 0.0625) / 3840, 9)
    // Planned it counts for the law; for the cooling only what went on does.
    expect(before.judgement.stayed.leastPpm).toBeCloseTo(now.judgement.stayed.leastPpm / 2, -1)
    const applied = now.events.find((event: { kind: string }) => event.kind === 'second_applied')
    await here.owner.post(`/api/events/${applied.id}/void`, { reason: 'entered for the wrong lot' })
    expect(await here.view(rubbed)).toMatchObject({ secondDue: true })
  })
  it('excess: what is weighed back comes off at the mix\'s own composition', async () => {
    const body = rub(here.stocked, {
      method: 'excess',
      targets: { saltShare: '6', sugarShare: '2', saltBasis: 'total', nitritePpm: '170' },
      agent: { lotCode: here.stocked.agent, weighed: '10.4' },
      salt: { lotCode: here.stocked.salt, weighed: '220.6' },
      sugar: { lotCode: here.stocked.sugar, weighed: '76.8' },
    })
    expect(await here.post({ ...body, weighedBack: '400' })).toMatchObject({ body: { code: 'weighed_back_all' } })
    expect(await here.post({ ...body, method: 'dry', weighedBack: '40' })).toMatchObject({
      body: { errors: [{ code: 'not_excess' }] },
    })
    const rubbed = await here.code({ ...body, weighedBack: '40' }, '/api/lots')
    expect((await here.view(rubbed)).judgement.lot.ppm).toBeCloseTo((1e6 * 10.4 * (1 - 40 / 307.8) * 0.0625) / 3840, 6)
    expect(
      await here.maker.post(`/api/lots/${rubbed}/weighed-after`, { weight: '60 g', scaleId: here.stocked.mixScaleId }),
    ).toMatchObject({ status: 200 })
    expect((await here.view(rubbed)).judgement).toMatchObject({ meaning: 'upper_bound', status: 'up_to' })
    expect((await here.view(rubbed)).weighedBackTyped).toBe('60 g')
  })
  it('brine until even: meat and brine share it; brine by pick-up is exact once weighed', async () => {
    const loin = await receive(here.maker, { cut: 'loin', weight: '30 kg' })
    const wet = {
      cut: 'loin',
      pieces: [{ meatCode: loin, weight: '4 kg' }],
      water: '2 kg',
      salt: { lotCode: here.stocked.salt, weighed: '125' },
      sugar: { lotCode: here.stocked.sugar, weighed: '62' },
      targets: { saltShare: '2.2', sugarShare: '1', saltBasis: 'total', nitritePpm: '150' },
    }
    const even = await here.code(
      rub(here.stocked, { ...wet, method: 'wet_equilibrium', agent: { lotCode: here.stocked.agent, weighed: '14.8' } }),
      '/api/lots',
    )
    expect((await here.view(even)).judgement).toMatchObject({ meaning: 'exact', status: 'inside' })
    expect((await here.view(even)).judgement.lot.ppm).toBeCloseTo((1e6 * 14.8 * 0.0625) / (4000 + 2000 + 14.8 + 125 + 62), 6)
    expect(
      await here.maker.post(`/api/lots/${even}/weighed-after`, { weight: '4.3 kg', scaleId: here.stocked.meatScaleId }),
    ).toMatchObject({ body: { code: 'nothing_to_weigh_back' } })
    const dip = await here.code(
      rub(here.stocked, {
        ...wet,
        method: 'wet_pick_up',
        mostPickUp: '12',
        agent: { lotCode: here.stocked.agent, weighed: '44' },
        salt: { lotCode: here.stocked.salt, weighed: '380' },
        sugar: { lotCode: here.stocked.sugar, weighed: '200' },
      }),
      '/api/lots',
    )
    expect((await here.view(dip)).judgement).toMatchObject({ meaning: 'upper_bound', status: 'up_to' })
    expect(
      await here.maker.post(`/api/lots/${dip}/weighed-after`, { weight: '40 kg', scaleId: here.stocked.meatScaleId }),
    ).toMatchObject({ body: { code: 'after_brine_weight' } })
    expect(
      await here.maker.post(`/api/lots/${dip}/weighed-after`, { weight: '4.48 kg', scaleId: here.stocked.meatScaleId }),
    ).toMatchObject({ status: 200 })
    expect((await here.view(dip)).judgement.meaning).toBe('exact')
    expect((await here.view(dip)).judgement.lot.ppm).toBeCloseTo((((1e6 * 44 * 0.0625) / 2624) * 0.48) / 4, 6)
  })
  it('a wet belly has its own lower limit, by any method nothing above it is rubbed', async () => {
    const before = await here.lots()
    const wet = rub(here.stocked, {
      method: 'wet_equilibrium',
      water: '2 kg',
      agent: { lotCode: here.stocked.agent, weighed: '12.6' },
      targets: { saltShare: '2.5', sugarShare: '1', saltBasis: 'total', nitritePpm: '110' },
    })
    expect(await here.post(wet)).toMatchObject({ status: 422, body: { code: 'rub_above_limit' } })
    expect(await here.post(rub(here.stocked, { method: 'excess', agent: { lotCode: here.stocked.agent, weighed: '20' } }))).toMatchObject({
      body: { code: 'rub_above_limit' },
    })
    expect(await here.lots()).toBe(before)
  })
})

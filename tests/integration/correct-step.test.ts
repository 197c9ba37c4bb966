import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { localSecond } from '../../core/calendar/local-day'
import type { Client } from '../support/client'
import { rub, stock, type Stock } from '../support/goods'
import { must } from '../support/must'
import { MAKER, openTestShop, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
let s: Stock
beforeAll(async () => {
  shop = await openTestShop()
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '120 kg' })
})
afterAll(() => shop.close())

const HOUR = 3_600_000
/** A lot that was rubbed three days ago. */
async function newLot(): Promise<string> {
  const { code } = await must(maker.post('/api/lots', rub(s)))
  await shop.sql('UPDATE lots SET rubbed_at = rubbed_at - INTERVAL 3 DAY WHERE code = ?', [code])
  for (const column of ['from_at', 'to_at'])
    await shop.sql(
      `UPDATE steps SET ${column} = ${column} - INTERVAL 3 DAY WHERE lot_id = (SELECT id FROM lots WHERE code = ?)`,
      [code],
    )
  return code
}
const lot = async (code: string) => (await maker.get(`/api/lots/${code}`)).body
const tell = (code: string, step: object, more: object = {}) =>
  must(maker.post('/api/steps', { steps: [step], lots: [{ code, pieces: null }], when: { told: 'now' }, ...more }))
const correct = (what: string, id: number, value: unknown) =>
  maker.post('/api/corrections', { what, id, value, reason: 'read off the sheet by the door' })
const turn = { kind: 'turn', how: 'turned', face: null }
const drain = { kind: 'drain', how: 'poured_off', liquid: { told: 'rough', rough: 'cup' }, back: false, saltLies: false }

describe('the hour of a press', () => {
  it('is set right: the step lies there, both hours stay in the book', async () => {
    const code = await newLot()
    const { eventId } = await tell(code, turn)
    const atMs = Math.floor((Date.now() - 30 * HOUR) / 60_000) * 60_000
    await must(correct('step_hour', eventId, atMs))
    const { turns, events, zone } = await lot(code)
    expect(turns.map((one: { atMs: number }) => one.atMs)).toEqual([atMs])
    expect(events.at(-1)).toMatchObject({ kind: 'corrected', computed: { about: `the hour of record ${eventId}` } })
    expect(events.at(-1).computed.to).toBe(localSecond(atMs, zone).slice(0, -3))
  })
  it('is refused where something then contradicts it, or it lies ahead; nothing moves', async () => {
    const code = await newLot()
    const { eventId } = await tell(code, turn, { when: { told: 'ago', minutes: 120 } })
    await tell(code, { kind: 'out', rinses: 1 }, { when: { told: 'ago', minutes: 60 } })
    const before = (await lot(code)).turns
    expect(await correct('step_hour', eventId, Date.now() - HOUR / 2)).toMatchObject({
      status: 409,
      body: { code: 'step_contradicts', errors: [{ path: ['value'] }] },
    })
    expect(await correct('step_hour', eventId, Date.now() + HOUR)).toMatchObject({ body: { code: 'not_yet_happened' } })
    expect(await correct('step_hour', eventId, Date.now() - 100 * HOUR)).toMatchObject({ body: { code: 'step_contradicts' } })
    expect((await lot(code)).turns).toEqual(before)
  })
  it('of a rub, or of nothing, cannot be', async () => {
    const code = await newLot()
    const [rubbed] = (await lot(code)).events
    expect(await correct('step_hour', rubbed.id, Date.now() - HOUR)).toMatchObject({ body: { code: 'stands_with_others' } })
    const half = {
      firstShare: '50',
      method: 'two_applications',
      agent: { lotCode: s.agent, weighed: '4.6' },
      salt: { lotCode: s.salt, weighed: '43.7' },
      sugar: null,
    }
    const { code: twice } = await must(maker.post('/api/lots', rub(s, half)))
    const { eventId: second } = await must(maker.post(`/api/lots/${twice}/second-application`, {
      agent: half.agent,
      salt: half.salt,
      sugar: null,
      mixScaleId: s.mixScaleId,
    }))
    expect(await correct('step_hour', second, Date.now())).toMatchObject({ body: { code: 'stands_with_others' } })
    expect(await correct('step_hour', 999_999, Date.now() - HOUR)).toMatchObject({ body: { code: 'no_such_entry' } })
    expect(await correct('step_hour', rubbed.id, 'noon')).toMatchObject({ status: 422 })
  })
})

describe('how much was drained', () => {
  it('is set right, and the least that stayed with it; a void then takes all of it back', async () => {
    const code = await newLot()
    const whole = (await lot(code)).judgement.stayed.leastPpm
    const { eventId } = await tell(code, drain)
    const rough = (await lot(code)).judgement.stayed.leastPpm
    await must(correct('step_drained', eventId, '20 g'))
    const weighed = (await lot(code)).judgement.stayed.leastPpm
    expect(rough).toBeLessThan(weighed)
    expect(weighed).toBeLessThan(whole)
    expect((await lot(code)).events.at(-1).computed).toMatchObject({ from: '60 to 405 g', to: '20 g' })
    await must(maker.post(`/api/events/${eventId}/void`, { reason: 'it was another lot' }))
    expect((await lot(code)).judgement.stayed.leastPpm).toBe(whole)
  })
  it('was left in the bag, and is told after the cure: less stayed, in what came out of that bag', async () => {
    const code = await newLot()
    const least = async () => (await lot(code)).judgement.stayed.pieces.map((one: { leastPpm: number }) => one.leastPpm)
    const whole = await least()
    await tell(code, { kind: 'out', rinses: 0 }, { when: { told: 'ago', minutes: 30 } })
    expect(await least()).toEqual(whole)
    const { eventId } = await tell(code, drain)
    const after = await least()
    expect(after.every((ppm: number, i: number) => ppm < whole[i])).toBe(true)
    await must(correct('step_drained', eventId, '20 g'))
    expect((await least()).every((ppm: number, i: number) => ppm > after[i] && ppm < whole[i])).toBe(true)
    await tell(code, { kind: 'soak', minutes: null, litres: null, water: null, changes: 0 })
    const inWater = { steps: [drain], lots: [{ code, pieces: null }], when: { told: 'now' }, again: true }
    expect(await maker.post('/api/steps', inWater)).toMatchObject({
      status: 409,
      body: { code: 'step_contradicts' },
    })
  })
  it('of more than the meat weighs, or of a turn, is refused', async () => {
    const code = await newLot()
    const drained = await tell(code, drain)
    expect(await correct('step_drained', drained.eventId, '40 kg')).toMatchObject({ body: { code: 'drained_over' } })
    const turned = await tell(code, turn)
    expect(await correct('step_drained', turned.eventId, '20 g')).toMatchObject({ body: { code: 'no_such_entry' } })
  })
})

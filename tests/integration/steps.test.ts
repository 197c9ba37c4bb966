import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { rub, stock } from '../support/goods'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let code: string
let pieces: number[]

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  code = (await maker.post('/api/lots', rub(await stock(maker)))).body.code
  pieces = (await maker.get(`/api/lots/${code}`)).body.pieces.map((piece: { id: number }) => piece.id)
})
afterAll(() => shop.close())

const turn = { kind: 'turn', how: 'turned', face: null }
const press = (more: Record<string, unknown> = {}) => ({
  steps: [turn],
  lots: [{ code, pieces: null }],
  when: { told: 'now' },
  ...more,
})
const turnsOf = async () => (await maker.get(`/api/lots/${code}`)).body.turns as { atMs: number }[]

describe('POST /api/steps', () => {
  it('tells a turn that floor and lot show, in one record of the book', async () => {
    const told = await maker.post('/api/steps', press())
    expect(told).toMatchObject({ status: 200, body: { steps: [{ lot: code, kind: 'turn', pieces: [1, 2] }] } })
    expect(await turnsOf()).toHaveLength(1)
    const { lots } = (await maker.get('/api/floor')).body
    expect(lots.find((lot: { code: string }) => lot.code === code).turns).toHaveLength(1)
    const { events } = (await maker.get(`/api/lots/${code}`)).body
    expect(events.filter((event: { kind: string }) => event.kind === 'step')).toHaveLength(1)
  })
  it('is told by the older route that the same was done, and tells it the same', async () => {
    expect(await owner.post(`/api/lots/${code}/turns`, {})).toMatchObject({ status: 409, body: { code: 'turned_just_now' } })
    expect(await owner.post('/api/steps', press())).toMatchObject({
      status: 409,
      body: { code: 'told_already', detail: expect.stringContaining(`${code} was turned`) },
    })
  })
  it('twenty at once under one key are one', async () => {
    const key = crypto.randomUUID()
    const before = (await turnsOf()).length
    const again = press({ again: true })
    const replies = await Promise.all(Array.from({ length: 20 }, () => maker.post('/api/steps', again, { 'idempotency-key': key })))
    expect(new Set(replies.map(reply => reply.status))).toEqual(new Set([200]))
    expect(new Set(replies.map(reply => reply.body.eventId)).size).toBe(1)
    expect(await turnsOf()).toHaveLength(before + 1)
  })
  it.each<[string, Record<string, unknown>, string]>([
    ['no step', { steps: [] }, 'steps'],
    ['five steps', { steps: [turn, turn, turn, turn, turn] }, 'steps'],
    ['a step that is none', { steps: [{ kind: 'fly' }] }, 'steps.0.kind'],
    [
      'an amount below nothing',
      { steps: [{ kind: 'drain', how: 'leaked', liquid: { told: 'ml', ml: -5 }, back: false, saltLies: false }] },
      'steps.0.liquid.ml',
    ],
    ['the same lot twice', { lots: [{ code: 'L-0001', pieces: null }, { code: 'L-0001', pieces: null }] }, 'lots'],
    ['minutes ahead', { when: { told: 'ago', minutes: -20 } }, 'when.minutes'],
    ['half a character', { steps: [{ kind: 'look', feel: null, note: 'grey \ud83d' }] }, 'steps.0.note'],
    ['a field that is not asked for', { byId: 1 }, ''],
  ])('refuses %s, and says where', async (_what, more, path) => {
    const { status, body } = await maker.post('/api/steps', press(more))
    expect(status).toBe(422)
    const paths = (body.errors as { path: (string | number)[] }[]).map(fault => fault.path.join('.'))
    expect(paths).toContain(path)
  })
  it('says in words what cannot be, with both hours, and records nothing', async () => {
    const out = await maker.post('/api/steps', press({ steps: [{ kind: 'out', rinses: 1 }], lots: [{ code, pieces: [pieces[0]] }] }))
    expect(out.status).toBe(200)
    const before = await shop.sql('SELECT COUNT(*) AS n FROM steps')
    const refused = await maker.post('/api/steps', press({ lots: [{ code, pieces }], again: true }))
    expect(refused).toMatchObject({
      status: 409,
      body: {
        code: 'step_contradicts',
        detail: expect.stringMatching(/cannot have been turned on .*, \d\d:\d\d: it was out of the cure since .*, \d\d:\d\d/),
      },
    })
    expect(await shop.sql('SELECT COUNT(*) AS n FROM steps')).toEqual(before)
    // The other piece is still in the cure, and "all" means it alone.
    expect(await maker.post('/api/steps', press({ again: true }))).toMatchObject({ body: { steps: [{ pieces: [2] }] } })
    expect((await maker.post(`/api/events/${out.body.eventId}/void`, { reason: 'it went back in' })).status).toBe(200)
    const [row] = await shop.sql<{ stage: string }>(`SELECT stage FROM pieces WHERE id = ${pieces[0]}`)
    expect(row!.stage).toBe('cure')
  })
})

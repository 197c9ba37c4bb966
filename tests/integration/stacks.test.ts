import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { stacksOf, type Stacked } from '#core/turning/stack'
import { STARTER_PLANS } from '#core/plan/starters'
import type { Client } from '../support/client'
import { rub, stock } from '../support/goods'
import { must } from '../support/must'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let code: string
let ids: number[]
let fridgeId: number

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  const s = await stock(maker)
  fridgeId = s.fridgeId
  code = (await must(maker.post('/api/lots', rub(s, { plan: STARTER_PLANS.stack })))).code
  ids = (await lotOf()).pieces.map((piece: { id: number }) => piece.id)
})
afterAll(() => shop.close())

const lotOf = async () => await must(maker.get(`/api/lots/${code}`))
const lies = async () =>
  stacksOf((await lotOf()).pieces as (Stacked & { number: number })[]).map(stack => stack.pieces.map(piece => piece.number))
const tell = (step: object, more: object = {}) =>
  maker.post('/api/steps', { steps: [step], lots: [{ code, pieces: null }], when: { told: 'now' }, again: true, ...more })
const TURN = { kind: 'turn', how: 'turned', face: null }

describe('a stack', () => {
  it('lies as it was rubbed, goes over with each turn, and back with an undo', async () => {
    expect(await lies()).toEqual([[1, 2]])
    const told = await must(tell(TURN))
    expect(told.lots[0].pieces).toMatchObject([{ layer: 2, stackTurns: 1 }, { layer: 1, stackTurns: 1 }])
    expect(told.steps).toMatchObject([{ pieces: [1, 2], stacks: [[2, 1]] }])
    expect(await lies()).toEqual([[2, 1]])
    await must(maker.post(`/api/events/${told.eventId}/undo`, {}))
    expect(await lies()).toEqual([[1, 2]])
  })
  it('may be told as it lies, with a turn or without', async () => {
    const order = [...ids].reverse()
    await must(tell({ kind: 'move', placeId: fridgeId, spot: null, order }))
    expect(await lies()).toEqual([[2, 1]])
    expect((await lotOf()).turns).toHaveLength(0)
    await must(tell({ ...TURN, order: ids }))
    expect(await lies()).toEqual([[1, 2]])
  })
  it.each<[string, object, object, number]>([
    ['a piece twice', { order: [1, 1] }, { code: 'invalid_input' }, 422],
    ['a piece of another lot', { order: [999_999] }, { code: 'no_such_piece' }, 422],
    ['nothing', { order: [] }, { code: 'invalid_input' }, 422],
    ['words', { order: ['the big one'] }, { code: 'invalid_input' }, 422],
  ])('with %s in its order is refused, and lies as it lay', async (_what, more, body, status) => {
    const before = await lies()
    expect(await tell({ ...TURN, ...more })).toMatchObject({ status, body })
    expect(await lies()).toEqual(before)
  })
  it('is kept by the book as its steps have it', async () => {
    expect(await must(owner.get('/api/book/check'))).toMatchObject({ broken: null, found: 0 })
  })
})

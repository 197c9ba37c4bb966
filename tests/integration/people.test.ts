import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { celsius, stock, type Stock } from '../support/goods'
import { confirm, INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop({ kept: false })
  owner = await shop.signedIn(OWNER)
  s = await stock(owner, { weight: '60 kg' })
})
afterAll(() => shop.close())

const put = (client: Client, path: string, body: unknown) => client.send('PUT', path, body)
/** What changes who may open the door wants the password again, given within the last minutes. */
const sure = async (client: Client, who = OWNER) => expect(await confirm(client, who)).toMatchObject({ status: 200 })
const people = async (): Promise<{ id: number; signIn: string; hasPin: boolean }[]> =>
  (await owner.get('/api/office/people')).body.people
const idOf = async (signIn: string) => (await people()).find(person => person.signIn === signIn)!.id
const read = (client: Client, typed = '3') =>
  client.post(`/api/fridges/${s.fridgeId}/readings`, { temperature: celsius(typed) })
const tablet = async (who = MAKER) => {
  const client = shop.client()
  expect(await client.post('/api/session', { ...who, station: 'Wall tablet', shared: true })).toMatchObject({
    status: 200,
  })
  return client
}

describe('a sign-in', () => {
  it('ends for good: the copied cookie opens nothing', async () => {
    const client = await shop.signedIn(MAKER)
    const copy = Object.assign(shop.client(), { cookie: client.cookie })
    expect((await copy.get('/api/store')).status).toBe(200)
    await client.send('DELETE', '/api/session', {})
    expect((await copy.get('/api/store')).status).toBe(401)
  })
  it('does not outlast its time', async () => {
    const client = await shop.signedIn(MAKER)
    await shop.sql(
      'UPDATE sessions SET ends_at = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE id = (SELECT MAX(id) FROM (SELECT id FROM sessions) s)',
    )
    expect((await client.get('/api/store')).status).toBe(401)
  })
  it('is ended by the owner from the Office, and by a closed account', async () => {
    const client = await shop.signedIn(MAKER)
    const { devices } = (await owner.get('/api/office/people')).body
    expect(devices.filter((d: { thisOne: boolean }) => d.thisOne)).toHaveLength(1)
    expect(
      await owner.post(
        `/api/office/devices/${devices.find((d: { who: string }) => d.who === 'maker person').id}/end`,
        {},
      ),
    ).toMatchObject({ status: 200 })
    expect((await client.get('/api/store')).status).toBe(401)
    const again = await shop.signedIn(MAKER)
    const closed = { name: 'maker person', initials: 'M', role: 'maker', active: false }
    expect(await put(owner, `/api/office/people/${await idOf('ben')}`, closed)).toMatchObject({
      status: 403,
      body: { code: 'password_again' },
    })
    await sure(owner)
    expect(await put(owner, `/api/office/people/${await idOf('ben')}`, closed)).toMatchObject({ status: 200 })
    expect((await again.get('/api/store')).status).toBe(401)
    expect((await shop.client().post('/api/session', MAKER)).status).toBe(401)
    expect(await put(owner, `/api/office/people/${await idOf('ben')}`, { ...closed, active: true })).toMatchObject({
      status: 200,
    })
  })
  it.each(['forged', 'Fe26.2**0000**aaaa**bbbb*0*cccc*dddd', '', 'undefined'])(
    'with the cookie value %j is none',
    async (value) => {
      const [session] = owner.cookie.split('; ').filter(cookie => cookie.split('=')[0]!.endsWith('-session'))
      const cookie = `${session!.split('=')[0]}=${value}`
      expect((await Object.assign(shop.client(), { cookie }).get('/api/store')).status).toBe(401)
    },
  )
  it('sealed with another secret is none', async () => {
    const other = await openTestShop({ kept: false })
    try {
      const stranger = await other.signedIn(MAKER)
      expect((await Object.assign(shop.client(), { cookie: stranger.cookie }).get('/api/store')).status).toBe(401)
    }
    finally {
      await other.close()
    }
  })
})

describe('accounts', () => {
  it('the last owner can be neither closed nor made something else; two owners cannot close each other', async () => {
    const ada = await idOf('ada')
    const me = { name: 'Ada Test', initials: 'AT', role: 'owner', active: true }
    await sure(owner)
    for (const change of [{ active: false }, { role: 'maker' }])
      expect(await put(owner, `/api/office/people/${ada}`, { ...me, ...change })).toMatchObject({
        status: 422,
        body: { code: 'last_owner' },
      })
    const second = { signIn: 'eve', password: 'second owner here' }
    await owner.post('/api/office/people', { name: 'Eve Test', initials: 'ET', role: 'owner', ...second })
    const eve = await shop.signedIn(second)
    await sure(eve, second)
    const replies = await Promise.all([
      put(owner, `/api/office/people/${await idOf('eve')}`, {
        name: 'Eve Test',
        initials: 'ET',
        role: 'owner',
        active: false,
      }),
      put(eve, `/api/office/people/${ada}`, { ...me, active: false }),
    ])
    expect(replies.map(reply => reply.status).sort()).toEqual([200, expect.any(Number)])
    expect(replies.filter(reply => reply.status === 200)).toHaveLength(1)
    await shop.sql('UPDATE users SET active = 1 WHERE sign_in = \'ada\'')
    owner = await shop.signedIn(OWNER)
  })
  it('one changes one\'s own password with the old one; other devices are signed out', async () => {
    const [here, there] = [await shop.signedIn(MAKER), await shop.signedIn(MAKER)]
    expect(await put(here, '/api/me/password', { password: 'not mine', next: 'brand new password' })).toMatchObject({
      status: 422,
      body: { code: 'password_wrong' },
    })
    expect(await put(here, '/api/me/password', { password: MAKER.password, next: 'short' })).toMatchObject({
      status: 422,
    })
    expect(await put(here, '/api/me/password', { password: MAKER.password, next: 'brand new password' })).toMatchObject(
      { status: 200 },
    )
    expect((await here.get('/api/store')).status).toBe(200)
    expect((await there.get('/api/store')).status).toBe(401)
    await sure(owner)
    expect(
      await put(owner, `/api/office/people/${await idOf('ben')}/password`, { password: MAKER.password }),
    ).toMatchObject({ status: 200 })
    expect((await here.get('/api/store')).status).toBe(401)
    await shop.signedIn(MAKER)
  })
  it('no secret reaches the book or the Office', async () => {
    const book = JSON.stringify(await shop.sql('SELECT typed, computed FROM events'))
    const office = JSON.stringify((await owner.get('/api/office/people')).body)
    for (const secret of [MAKER.password, 'brand new password', 'scrypt', 'tokenHash'])
      expect(book + office).not.toContain(secret)
  })
})

describe('a shared tablet', () => {
  const PIN = '4071'
  it('PINs have four to six digits, are not the first that anyone tries, and need the password', async () => {
    const maker = await shop.signedIn(MAKER)
    for (const pin of ['123', '1234567', '12a4', ''])
      expect(await put(maker, '/api/me/pin', { password: MAKER.password, pin })).toMatchObject({
        body: { errors: [{ code: 'pin_digits' }] },
      })
    for (const pin of ['0000', '1234', '9876', '777777'])
      expect(await put(maker, '/api/me/pin', { password: MAKER.password, pin })).toMatchObject({
        body: { errors: [{ code: 'pin_easy' }] },
      })
    expect(await put(maker, '/api/me/pin', { password: 'guess', pin: PIN })).toMatchObject({
      body: { code: 'password_wrong' },
    })
    expect(await put(maker, '/api/me/pin', { password: MAKER.password, pin: PIN })).toMatchObject({ status: 200 })
    expect(await put(owner, '/api/me/pin', { password: OWNER.password, pin: '60224' })).toMatchObject({ status: 200 })
    expect(
      (await people())
        .filter(person => person.hasPin)
        .map(person => person.signIn)
        .sort(),
    ).toEqual(['ada', 'ben'])
  })
  it('records nothing unsigned; the PIN says who, the tablet says where', async () => {
    const wall = await tablet()
    expect(await read(wall)).toMatchObject({ status: 403, body: { code: 'pin_needed' } })
    const photo = () =>
      fetch(`${shop.address}/api/files?name=wall.jpg`, {
        method: 'POST',
        body: Buffer.from('ffd8ffe000104a464946', 'hex'),
        headers: { origin: shop.address, cookie: wall.cookie },
      })
    expect((await photo()).status).toBe(403)
    const { signers } = (await wall.get('/api/session')).body.station
    expect(signers.map((p: { initials: string }) => p.initials).sort()).toEqual(['AT', 'M'])
    expect(await wall.post('/api/station/signature', { userId: await idOf('ada'), pin: '60224' })).toMatchObject({
      status: 200,
    })
    expect(await read(wall)).toMatchObject({ status: 200 })
    expect((await photo()).status).toBe(200)
    expect((await owner.get('/api/events')).body[0]).toMatchObject({ who: 'Ada Test', station: 'Wall tablet' })
    await wall.send('DELETE', '/api/station/signature', {})
    expect(await read(wall)).toMatchObject({ status: 403, body: { code: 'pin_needed' } })
    await wall.post('/api/station/signature', { userId: await idOf('ben'), pin: PIN })
    await read(wall)
    expect((await owner.get('/api/events')).body[0]).toMatchObject({ who: 'maker person', station: 'Wall tablet' })
  })
  it('a signature runs out', async () => {
    const wall = await tablet()
    await wall.post('/api/station/signature', { userId: await idOf('ben'), pin: PIN })
    await shop.sql('UPDATE sessions SET signed_until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE shared = 1')
    expect(await read(wall)).toMatchObject({ body: { code: 'pin_needed' } })
  })
  it('the owner\'s own business is not done with a PIN, not even on a tablet that the owner opened', async () => {
    const wall = await tablet(OWNER)
    await wall.post('/api/station/signature', { userId: await idOf('ada'), pin: '60224' })
    for (const reply of [
      await wall.post('/api/office/people', {
        name: 'X',
        initials: 'X',
        signIn: 'xx',
        password: 'long enough it is',
        role: 'owner',
      }),
      await put(wall, '/api/me/pin', { password: OWNER.password, pin: '5093' }),
      await put(wall, '/api/me/password', { password: OWNER.password, next: 'taken over by tablet' }),
    ])
      expect(reply).toMatchObject({ status: 403, body: { code: 'own_sign_in_needed' } })
    expect((await wall.get('/api/session')).body.user.role).toBe('maker')
    expect((await wall.get('/api/office/people')).body.devices).toEqual([])
  })
  it('an inspector neither opens one nor signs on one', async () => {
    expect(await shop.client().post('/api/session', { ...INSPECTOR, station: 'Wall', shared: true })).toMatchObject({
      status: 403,
    })
    expect(
      await (await tablet()).post('/api/station/signature', { userId: await idOf('cyd'), pin: PIN }),
    ).toMatchObject({ body: { code: 'no_pin' } })
    expect(
      await (await shop.signedIn(MAKER)).post('/api/station/signature', { userId: await idOf('ben'), pin: PIN }),
    ).toMatchObject({ body: { code: 'not_shared' } })
  })
  it('guessing PINs: five wrong ones, one by one or all at once, close it even for the right one', async () => {
    const wall = await tablet()
    const ben = await idOf('ben')
    const guesses = Array.from({ length: 30 }, (_, i) => String(2300 + i * 7))
    const replies = await Promise.all(guesses.map(pin => wall.post('/api/station/signature', { userId: ben, pin })))
    expect(replies.filter(reply => reply.status === 401).length).toBeLessThanOrEqual(5)
    expect(replies.every(reply => reply.status === 401 || reply.status === 429)).toBe(true)
    // Closed for a while, or until the password, by how many of them came at once.
    expect(await wall.post('/api/station/signature', { userId: ben, pin: PIN })).toMatchObject({
      status: 429,
      body: { code: expect.stringMatching(/^pin_(closed|spent)$/) },
    })
    expect(await (await tablet()).post('/api/station/signature', { userId: ben, pin: PIN })).toMatchObject({
      status: 429,
    })
    // Someone else's PIN still signs.
    expect(await wall.post('/api/station/signature', { userId: await idOf('ada'), pin: '60224' })).toMatchObject({
      status: 200,
    })
  })
})

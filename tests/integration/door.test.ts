import { randomBytes, randomUUID, scryptSync } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { confirm, MAKER, openTestShop, OWNER, setUp, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
})
afterAll(() => shop.close())

const add = async (signIn: string, role = 'maker') => {
  const person = { signIn, password: `${signIn} rides a slow ferry` }
  await confirm(owner)
  expect(await owner.post('/api/office/people', { name: signIn, initials: 'X', role, ...person })).toMatchObject({
    status: 200,
  })
  return person
}
const tries = async (client: Client, signIn: string, times: number) => {
  const codes: string[] = []
  for (let i = 0; i < times; i++)
    codes.push((await client.post('/api/session', { signIn, password: `wrong ${i}` })).body.code)
  return codes
}
const kinds = async () => (await shop.sql<{ kind: string }>('SELECT kind FROM events')).map(row => row.kind)

describe('the first visit', () => {
  let empty: TestShop
  beforeAll(async () => {
    empty = await openTestShop({ opened: false })
  })
  afterAll(() => empty.close())
  const left = async () =>
    Number(
      (await empty.sql<{ n: unknown }>('SELECT (SELECT COUNT(*) FROM shops) + (SELECT COUNT(*) FROM users) n'))[0]!.n,
    )

  it('opens no shop without the code that was printed, from another site, in another type, or for a name that points here', async () => {
    const client = empty.client()
    const raw = (headers: Record<string, string>) => client.post('/api/setup', setUp(), headers)
    expect(await client.post('/api/setup', setUp({ code: '' }))).toMatchObject({
      status: 403,
      body: { code: 'setup_code_wrong' },
    })
    expect(await client.post('/api/setup', setUp({ code: 'GUESS-CODE' }))).toMatchObject({
      body: { code: 'setup_code_wrong' },
    })
    expect(await raw({ 'content-type': 'text/plain' })).toMatchObject({ status: 415 })
    expect(await raw({ 'sec-fetch-site': 'cross-site' })).toMatchObject({ status: 403, body: { code: 'cross_site' } })
    expect(await raw({ 'sec-fetch-site': 'same-site' })).toMatchObject({ status: 403 })
    expect(await left()).toBe(0)
  })
  it('guesses at the code are counted', async () => {
    const answers = await Promise.all(
      Array.from({ length: 14 }, (_, i) => empty.client().post('/api/setup', setUp({ code: `GUESS-${i}` }))),
    )
    expect(answers.filter(answer => answer.status === 429).length).toBeGreaterThanOrEqual(4)
    await empty.sql('DELETE FROM sign_in_attempts')
  })
  it('refuses a password that anyone would try, names the law, and then opens once', async () => {
    const owned = (password: string) => setUp({ owner: { name: 'Ada Test', initials: 'AT', signIn: 'ada', password } })
    for (const password of ['password123', 'aaaaaaaaaaaa', 'qwertyuiop', 'test shed 1'])
      expect(await empty.client().post('/api/setup', owned(password)), password).toMatchObject({
        status: 422,
        body: { code: 'password_common' },
      })
    expect(await empty.client().post('/api/setup', setUp({ ruleSetId: 'mars' }))).toMatchObject({
      body: { errors: [{ code: 'law_missing' }] },
    })
    expect(await left()).toBe(0)
    // A law whose belly takes less than our usual target begins under it.
    expect(await empty.client().post('/api/setup', setUp({ code: 'test code', ruleSetId: 'ca' }))).toMatchObject({
      status: 200,
    })
    const [row] = await empty.sql<{ law: string; target: unknown }>(
      'SELECT rule_set_id law, house_target_ppm target FROM shops',
    )
    expect(row!.law).toBe('ca')
    expect(Number(row!.target)).toBeLessThanOrEqual(150)
    expect(await empty.client().post('/api/setup', setUp())).toMatchObject({
      status: 409,
      body: { code: 'shop_exists' },
    })
  })
})

describe('a name that points here', () => {
  /** fetch sets no Host of its own: asked by hand. */
  const ask = async (host: string, address = shop.address) => {
    const { request } = await import('node:http')
    return new Promise<number>((resolve, reject) => {
      const asked = request(
        `${address}/api/session`,
        { method: 'POST', headers: { 'host': host, 'origin': `http://${host}`, 'content-type': 'application/json' } },
        answer => resolve(answer.statusCode!),
      )
      asked.on('error', reject).end(JSON.stringify(MAKER))
    })
  }
  it('is not ours, unless the shop says under which address it is reached', async () => {
    const { port } = new URL(shop.address)
    expect(await ask(`127.0.0.1:${port}`)).toBe(200)
    expect(await ask(`localhost:${port}`)).toBe(200)
    expect(await ask(`rebound.example:${port}`)).toBe(403)
    const named = await shop.another({ PUBLIC_ORIGIN: 'http://shop.example' })
    expect(await ask('shop.example', named.address)).toBe(200)
    expect(await ask('other.example', named.address)).toBe(403)
    await named.stop()
  })
})

describe('wrong passwords', () => {
  it('close a name for a stranger, not for the device its owner uses', async () => {
    const dee = await add('dee')
    const own = await shop.signedIn(dee)
    const stranger = shop.client()
    expect(await tries(stranger, 'dee', 7)).toEqual([
      ...Array.from({ length: 6 }, () => 'sign_in_wrong'),
      'sign_in_closed',
    ])
    expect(await kinds()).toContain('name_closed')
    expect(await stranger.post('/api/session', dee)).toMatchObject({ status: 429 })
    await own.send('DELETE', '/api/session', {})
    expect(await own.post('/api/session', dee)).toMatchObject({ status: 200 })
    expect(JSON.stringify((await owner.get('/api/office/door')).body)).toContain('dee')
  })
  it('cost nothing once the door is closed: nothing is written', async () => {
    const count = async () => Number((await shop.sql<{ n: unknown }>('SELECT COUNT(*) n FROM sign_in_attempts'))[0]!.n)
    const before = await count()
    expect(new Set(await tries(shop.client(), 'dee', 5))).toEqual(new Set(['sign_in_closed']))
    expect(await count()).toBe(before)
  })
  it('are counted where one\'s own password is asked for again', async () => {
    const fay = await shop.signedIn(await add('fay'))
    const codes: string[] = []
    for (let i = 0; i < 7; i++)
      codes.push(
        (await fay.put('/api/me/password', { password: `guess ${i}`, next: 'a brook under old snow' })).body.code,
      )
    expect(codes).toEqual([...Array.from({ length: 6 }, () => 'password_wrong'), 'password_closed'])
    expect(await fay.post('/api/me/confirm', { password: 'fay rides a slow ferry' })).toMatchObject({ status: 429 })
  })
  it('a stranger confirms nothing', async () =>
    expect(await shop.client().post('/api/me/confirm', { password: OWNER.password })).toMatchObject({ status: 401 }))
})

describe('a password', () => {
  it('of an earlier cost is hashed anew by its next sign-in', async () => {
    const old = (password: string) => {
      const salt = randomBytes(16)
      const base64 = (bytes: Buffer) => bytes.toString('base64').replace(/=+$/, '')
      return `$scrypt$n=16384,r=8,p=1$${base64(salt)}$${base64(scryptSync(password, salt, 64, { N: 16384, r: 8, p: 1 }))}`
    }
    const gus = await add('gus')
    await shop.sql('UPDATE users SET password_hash = ? WHERE sign_in = ?', [old(gus.password), 'gus'])
    await shop.signedIn(gus)
    const [row] = await shop.sql<{ hash: string }>('SELECT password_hash hash FROM users WHERE sign_in = ?', ['gus'])
    expect(row!.hash).toContain('n=131072,r=8,p=1')
    await shop.signedIn(gus)
  })
  it('of an owner lets nobody in alone once a second factor is set; each code and each recovery code counts once', async () => {
    const hal = await add('hal', 'owner')
    const client = await shop.signedIn(hal)
    expect(await client.post('/api/me/second-factor/offer', {})).toMatchObject({
      status: 403,
      body: { code: 'password_again' },
    })
    await confirm(client, hal)
    const { secret, uri, proof } = (await client.post('/api/me/second-factor/offer', {})).body
    expect(uri).toMatch(/^otpauth:\/\/totp\//)
    const totp = new TOTP({ secret: Secret.fromBase32(secret), digits: 6, period: 30 })
    const wrong = String((Number(totp.generate()) + 1) % 1e6).padStart(6, '0')
    expect(await client.put('/api/me/second-factor', { secret, proof, code: wrong })).toMatchObject({
      status: 422,
      body: { code: 'code_unfit' },
    })
    // One that somebody thought of is no secret.
    const own = 'A'.repeat(32)
    const ofOwn = new TOTP({ secret: Secret.fromBase32(own), digits: 6, period: 30 })
    expect(await client.put('/api/me/second-factor', { secret: own, proof, code: ofOwn.generate() })).toMatchObject({
      status: 422,
      body: { code: 'secret_not_ours' },
    })
    const elsewhere = await shop.signedIn(hal)
    const [key, right] = [{ 'idempotency-key': randomUUID() }, { secret, proof, code: totp.generate() }]
    const { recoveryCodes } = (await client.send('PUT', '/api/me/second-factor', right, key)).body
    // Other sign-ins, from before there was a factor, are over.
    expect(await elsewhere.get('/api/store')).toMatchObject({ status: 401 })
    // Another phone, or none, takes a code of this one: a password and an open device are not enough.
    for (const send of [() => client.send('PUT', '/api/me/second-factor', right, key), () => client.post('/api/me/second-factor/off', {})])
      expect(await send()).toMatchObject({ status: 401, body: { code: 'code_needed' } })
    expect(new Set(recoveryCodes).size).toBe(8)
    const enter = (code?: string) =>
      shop.client().post('/api/session', { ...hal, ...(code === undefined ? {} : { code }) })
    expect(await enter()).toMatchObject({ status: 401, body: { code: 'code_needed' } })
    // Twice at the same moment: one of them is let in.
    const both = async (code: string) =>
      (await Promise.all([enter(code), enter(code)])).map(({ status }) => status).sort()
    const code = totp.generate()
    expect(await both(code)).toEqual([200, 401])
    expect(await enter(code)).toMatchObject({ status: 401, body: { code: 'code_wrong' } })
    expect(await both(recoveryCodes[0].toLowerCase())).toEqual([200, 401])
    expect(await enter(recoveryCodes[0])).toMatchObject({ body: { code: 'code_wrong' } })
    const seen = JSON.stringify([
      await shop.sql('SELECT * FROM events'),
      await shop.sql('SELECT answer, request_hash FROM answers'),
      (await owner.get('/api/office/people')).body,
      (await owner.get('/api/export/csv/users')).body,
    ])
    for (const kept of [secret, recoveryCodes[1], 'recovery_hashes']) expect(seen).not.toContain(kept)
    expect(await kinds()).toEqual(
      expect.arrayContaining(['second_factor_set', 'recovery_code_used', 'password_rehashed']),
    )
    await confirm(client, hal)
    expect(await client.post('/api/me/second-factor/off', { current: '000000' })).toMatchObject({ body: { code: 'code_wrong' } })
    // Whoever guesses codes shuts no recovery code out.
    for (let i = 0; i < 7; i++) await enter('000000')
    expect(await enter('000000')).toMatchObject({ status: 429 })
    expect(await enter(recoveryCodes[2])).toMatchObject({ status: 200 })
    expect(await client.post('/api/me/second-factor/off', { current: recoveryCodes[1] })).toMatchObject({ status: 200 })
    expect(await enter()).toMatchObject({ status: 200 })
  })
  it('is asked for again before the whole shop is taken along, and that is on record', async () => {
    const ida = await add('ida', 'owner')
    const client = await shop.signedIn(ida)
    expect(await client.get('/api/export/shop')).toMatchObject({ status: 403 })
    await confirm(client, ida)
    expect(await client.get('/api/export/shop')).toMatchObject({ status: 200 })
    expect(await kinds()).toContain('shop_exported')
  })
})

describe('devices', () => {
  it('everyone sees their own and signs one out; nobody else\'s', async () => {
    const joy = await add('joy')
    const [here, there, other] = [await shop.signedIn(joy), await shop.signedIn(joy), await shop.signedIn(MAKER)]
    const { devices } = (await here.get('/api/office/people')).body as { devices: { id: number; thisOne: boolean }[] }
    expect(devices).toHaveLength(2)
    const far = devices.find(device => !device.thisOne)!
    expect(await other.post(`/api/me/devices/${far.id}/end`, {})).toMatchObject({ status: 404 })
    expect(await here.post(`/api/me/devices/${far.id}/end`, {})).toMatchObject({ status: 200 })
    expect((await there.get('/api/store')).status).toBe(401)
    expect((await here.get('/api/store')).status).toBe(200)
  })
  it('left alone for two hours it asks for the password; a tablet on the wall does not', async () => {
    const kit = await add('kit')
    const client = await shop.signedIn(kit)
    const wall = shop.client()
    await wall.post('/api/session', { ...kit, station: 'Wall', shared: true })
    await shop.sql(
      'UPDATE sessions SET seen_at = UTC_TIMESTAMP(3) - INTERVAL 121 MINUTE WHERE user_id = (SELECT id FROM users WHERE sign_in = ?)',
      ['kit'],
    )
    expect((await client.get('/api/store')).status).toBe(401)
    expect((await wall.get('/api/store')).status).toBe(200)
  })
  it('a PIN anyone would try is refused; twenty wrong in a row wait for the password', async () => {
    const lee = await add('lee')
    const client = await shop.signedIn(lee)
    for (const pin of ['1212', '2580', '1984', '2001', '1122'])
      expect(await client.put('/api/me/pin', { password: lee.password, pin }), pin).toMatchObject({
        body: { errors: [{ code: 'pin_easy' }] },
      })
    expect(await client.put('/api/me/pin', { password: lee.password, pin: '8306' })).toMatchObject({ status: 200 })
    const wall = shop.client()
    await wall.post('/api/session', { ...MAKER, station: 'Wall', shared: true })
    const userId = (await wall.get('/api/session')).body.station.signers.find(
      (one: { name: string }) => one.name === 'lee',
    ).id
    for (let round = 0; round < 4; round++) {
      for (let i = 0; i < 5; i++) await wall.post('/api/station/signature', { userId, pin: `93${round}${i}` })
      await shop.sql('UPDATE sign_in_attempts SET at = at - INTERVAL 16 MINUTE WHERE sign_in = ?', ['lee'])
    }
    expect(await wall.post('/api/station/signature', { userId, pin: '8306' })).toMatchObject({
      body: { code: 'pin_spent' },
    })
    await shop.signedIn(lee)
    expect(await wall.post('/api/station/signature', { userId, pin: '8306' })).toMatchObject({ status: 200 })
  })
})

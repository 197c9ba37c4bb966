import { createHash } from 'node:crypto'
import net from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { must } from '../support/must'
import { celsius, delivery, GOOD, ingredient, meat, meatLine, receive, rub, stock, type Stock } from '../support/goods'
import { INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let owner: Client
let maker: Client
let s: Stock

beforeAll(async () => {
  shop = await openTestShop()
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  s = await stock(maker, { weight: '60 kg' })
})
afterAll(() => shop.close())

const meatOf = async (code: string) =>
  (await maker.get('/api/store')).body.meat.find((m: { code: string }) => m.code === code)
const dryOf = async (code: string) =>
  (await maker.get('/api/store')).body.ingredients.find((m: { code: string }) => m.code === code)
const PDF = Buffer.from('%PDF-1.4 made up')
const upload = (client: Client, name: string, content: Buffer, headers: Record<string, string> = {}) =>
  fetch(`${shop.address}/api/files?name=${encodeURIComponent(name)}`, {
    method: 'POST',
    body: new Uint8Array(content),
    headers: { origin: shop.address, cookie: client.cookie, ...headers },
  }).then(async answer => ({ status: answer.status, body: (await answer.json()) as any }))

describe('a delivery', () => {
  it('of several cuts is one record, each cut with its own code, temperature and condition', async () => {
    const body = await must(
      maker.post(
        '/api/deliveries',
        delivery(
          [
            meatLine(),
            meatLine({
              cut: 'loin',
              supplierLot: 'NF-2',
              weight: '22 lb',
              temperature: celsius('40 F'),
              checks: { ...GOOD, fat: 'poor' },
              reason: 'thin fat, price reduced',
            }),
          ],
          { document: 'Note 7' },
        ),
      ),
    )
    expect(body.meatCodes).toHaveLength(2)
    expect(await meatOf(body.meatCodes[1])).toMatchObject({
      delivery: body.code,
      document: 'Note 7',
      cut: 'loin',
      weightTyped: '22 lb',
      temperatureC: 4.444,
      state: 'in',
      checks: { fat: 'poor' },
      note: 'thin fat, price reduced',
    })
    const [event] = (await maker.get('/api/events')).body
    expect(event).toMatchObject({ kind: 'delivery_received', subjects: [body.code, ...body.meatCodes] })
  })
  it('above 7 °C is not taken: it is held or sent back, with a reason', async () => {
    const warm = { temperature: celsius('8.2') }
    expect(await maker.post('/api/deliveries', meat(warm))).toMatchObject({
      status: 422,
      body: { code: 'arrival_too_warm', errors: [{ path: ['lines', 0, 'decision'] }] },
    })
    for (const decision of ['hold', 'refuse'])
      expect(await maker.post('/api/deliveries', meat({ ...warm, decision }))).toMatchObject({
        status: 422,
        body: { errors: [{ path: ['lines', 0, 'reason'], code: 'arrival_reason' }] },
      })
    expect(await maker.post('/api/deliveries', meat({ checks: { ...GOOD, smell: 'poor' } }))).toMatchObject({
      body: { errors: [{ code: 'arrival_reason' }] },
    })
    const sentBack = await receive(maker, { ...warm, decision: 'refuse', reason: 'warm through' })
    expect(await maker.post('/api/lots', rub({ ...s, meat: sentBack }))).toMatchObject({
      status: 422,
      body: { code: 'meat_not_in' },
    })
  })
  it('held waits for the owner alone', async () => {
    const code = await receive(maker, { temperature: celsius('8.2'), decision: 'hold', reason: 'crate warm on top' })
    expect(await maker.post('/api/lots', rub({ ...s, meat: code }))).toMatchObject({ body: { code: 'meat_not_in' } })
    expect(
      await maker.post(`/api/meat/${code}/cuttings`, {
        pieceId: null,
        taken: '4 kg',
        kind: 'cut',
        pieces: ['4 kg'],
        trim: null,
        bone: null,
        rind: null,
        note: null,
      }),
    ).toMatchObject({ body: { code: 'meat_not_in' } })
    const [hold] = (await meatOf(code)).holds
    expect((await maker.get('/api/floor')).body.store.heldMeat).toEqual([{ code, reason: 'arrival_warm' }])
    expect(hold).toMatchObject({ reason: 'arrival_warm', note: 'crate warm on top' })
    expect(
      await maker.post(`/api/holds/${hold.id}/disposition`, { disposition: 'release', text: 'fine' }),
    ).toMatchObject({ status: 403 })
    await must(owner.post(`/api/holds/${hold.id}/disposition`, { disposition: 'release', text: 'core was 3 °C' }))
    await must(maker.post('/api/lots', rub({ ...s, meat: code })))
  })
  it('with a thermometer that reads high is judged by what is true', async () => {
    const probe = (await maker.get('/api/floor')).body.instruments.find((one: { name: string }) => one.name === 'Probe')
    await must(
      maker.post(`/api/instruments/${probe.id}/checks`, { method: 'ice_point', read: celsius('1'), note: null }),
    )
    const body = await must(
      maker.post('/api/deliveries', meat({ temperature: celsius('7.8') }, { thermometerId: probe.id })),
    )
    expect(await meatOf(body.meatCodes[0])).toMatchObject({
      temperatureC: 6.8,
      offsetC: 1,
      thermometer: { name: 'Probe', state: 'checked' },
    })
  })
})

describe('the tree of pieces', () => {
  const cut = (code: string, body: Record<string, unknown>) =>
    maker.post(`/api/meat/${code}/cuttings`, {
      pieceId: null,
      taken: null,
      kind: 'cut',
      trim: null,
      bone: null,
      rind: null,
      note: null,
      ...body,
    })
  it('grows by cutting and boning, with trim and bone accounted; leaves go into lots once', async () => {
    const code = await receive(maker, { weight: '10 kg' })
    expect((await must(cut(code, { taken: '9.98 kg', pieces: ['5 kg', '4.95 kg'] }))).labels).toEqual(['1', '2'])
    const first = (await meatOf(code)).pieces[0]
    const boned = await must(
      cut(code, { pieceId: first.id, kind: 'bone', pieces: ['2 kg', '1.9 kg'], bone: '800', trim: '270' }),
    )
    expect(boned).toMatchObject({ labels: ['1.1', '1.2'], unaccountedG: 30 })
    const tree = await meatOf(code)
    expect(tree).toMatchObject({ usedG: 9980 })
    expect(tree.pieces.map((p: { label: string; divided: boolean }) => [p.label, p.divided])).toEqual([
      ['1', true],
      ['2', false],
      ['1.1', false],
      ['1.2', false],
    ])
    const leaf = tree.pieces[2]
    const lotOf = (weight: string, id = leaf.id) =>
      rub(s, {
        pieces: [{ meatCode: code, weight, meatPieceId: id }],
        agent: { lotCode: s.agent, weighed: '4.8' },
        salt: { lotCode: s.salt, weighed: '45' },
        sugar: null,
      })
    expect(await maker.post('/api/lots', lotOf('2.2 kg'))).toMatchObject({ body: { code: 'piece_heavier' } })
    expect(await maker.post('/api/lots', lotOf('2 kg', first.id))).toMatchObject({ body: { code: 'piece_gone' } })
    expect(await maker.post('/api/lots', lotOf('2 kg', 999_999))).toMatchObject({ body: { code: 'no_such_piece' } })
    const rubbed = await must(maker.post('/api/lots', lotOf('1.995 kg')))
    expect((await meatOf(code)).pieces[2].lot).toBe(rubbed.code)
    expect(await maker.post('/api/lots', lotOf('2 kg'))).toMatchObject({ body: { code: 'piece_gone' } })
    expect(await cut(code, { pieceId: leaf.id, pieces: ['1 kg', '1 kg'] })).toMatchObject({
      body: { code: 'piece_gone' },
    })
    // What is in a lot cannot be uncut; a free leaf can.
    expect(await maker.post(`/api/events/${boned.eventId}/undo`, {})).toMatchObject({ body: { code: 'piece_gone' } })
    await must(maker.post(`/api/events/${rubbed.eventId}/undo`, {}))
    await must(maker.post(`/api/events/${boned.eventId}/undo`, {}))
    expect((await meatOf(code)).pieces.map((p: { label: string }) => p.label)).toEqual(['1', '2'])
  })
  it('refuses more out than in, and asks about what is missing', async () => {
    const code = await receive(maker, { weight: '10 kg' })
    expect(await cut(code, { taken: '10 kg', pieces: ['6 kg', '4.5 kg'] })).toMatchObject({
      body: { code: 'cut_too_much' },
    })
    expect(await cut(code, { taken: '10 kg', pieces: ['6 kg', '3.5 kg'] })).toMatchObject({
      body: { code: 'cut_unaccounted', errors: [{ path: ['note'] }] },
    })
    await must(cut(code, { taken: '10 kg', pieces: ['6 kg', '3.5 kg'], note: 'sold fresh over the counter' }))
    expect(await cut(code, { taken: '1 kg', pieces: ['1 kg'] })).toMatchObject({ body: { code: 'meat_used_up' } })
    expect(await maker.post('/api/lots', rub({ ...s, meat: code }))).toMatchObject({ body: { code: 'meat_used_up' } })
  })
  it('two knives at once cannot take the same meat', async () => {
    const code = await receive(maker, { weight: '10 kg' })
    const replies = await Promise.all([1, 2, 3].map(() => cut(code, { taken: '9 kg', pieces: ['9 kg'] })))
    expect(replies.map(reply => reply.status).sort()).toEqual([200, 422, 422])
  })
})

describe('stock', () => {
  it('is opened once, thrown away and used with a reason, and cannot go below what there is', async () => {
    const code = (await must(maker.post('/api/ingredients', ingredient('salt', { amount: '1 kg' })))).code
    await must(maker.post(`/api/ingredients/${code}/opened`, {}))
    expect(await maker.post(`/api/ingredients/${code}/opened`, {})).toMatchObject({
      status: 409,
      body: { code: 'already_open' },
    })
    await must(
      maker.post(`/api/ingredients/${code}/stock`, {
        kind: 'discarded',
        amount: '250',
        reason: 'damp',
        scaleId: s.mixScaleId,
      }),
    )
    expect(await dryOf(code)).toMatchObject({ leftG: 750, openedAtMs: expect.any(Number) })
    expect(
      await maker.post(`/api/ingredients/${code}/stock`, {
        kind: 'discarded',
        amount: '900',
        reason: 'damp',
        scaleId: null,
      }),
    ).toMatchObject({ body: { code: 'ingredient_used_up' } })
    expect(
      await maker.post(`/api/ingredients/${code}/stock`, {
        kind: 'discarded',
        amount: '10',
        reason: '',
        scaleId: null,
      }),
    ).toMatchObject({ body: { errors: [{ code: 'reason_missing' }] } })
  })
  it('of curing salt is a ledger: every gram tied to a lot, counted, and anomalies shown', async () => {
    const code = (await must(maker.post('/api/ingredients', ingredient('curing_salt', { amount: '100 g' })))).code
    const lot = (await must(maker.post('/api/lots', rub(s, { agent: { lotCode: code, weighed: '9.2' } })))).code
    const count = (counted: string, reason: string | null = null, scaleId: number | null = s.mixScaleId) =>
      maker.post(`/api/ingredients/${code}/stock`, { kind: 'count', counted, reason, scaleId })
    expect(await count('90.8', null, null)).toMatchObject({ body: { code: 'count_needs_scale' } })
    // One weighing and one count on the 0.1 g scale: 0.1 g between them.
    expect((await must(count('90.9'))).off).toBe(false)
    expect(await count('90.2')).toMatchObject({
      status: 422,
      body: { code: 'count_off', errors: [{ path: ['reason'] }] },
    })
    expect((await must(count('90.2', 'lid was off'))).off).toBe(true)
    await must(
      maker.post(`/api/ingredients/${code}/stock`, {
        kind: 'unassigned',
        amount: '2',
        reason: 'a trial',
        scaleId: s.mixScaleId,
      }),
    )
    await shop.sql('UPDATE ingredient_lots SET received_at = received_at - INTERVAL 32 DAY')
    const due = (await maker.get('/api/floor')).body.store.countsDue.map((salt: { code: string }) => salt.code)
    expect(due).toContain(s.agent)
    expect(due).not.toContain(code)
    const { lots } = (await maker.get('/api/salt-ledger')).body
    const ledger = lots.find((l: { code: string }) => l.code === code)
    expect(ledger.lines.map((l: any) => [l.kind, Number(l.balanceG.toFixed(4)), l.anomaly, l.lot])).toEqual([
      ['received', 100, null, null],
      ['used', 90.8, null, lot],
      ['count', 90.9, null, null],
      ['count', 90.2, 'count_off', null],
      ['unassigned', 88.2, 'without_a_lot', null],
    ])
    expect(ledger.balanceG).toBeCloseTo(88.2, 9)
    expect((await dryOf(code)).leftG).toBeCloseTo(88.2, 9)
    expect((await must(count('0', 'tin emptied by mistake'))).differenceG).toBeCloseTo(-88.2, 9)
    expect(await maker.post('/api/lots', rub(s, { agent: { lotCode: code, weighed: '9.2' } }))).toMatchObject({
      body: { code: 'ingredient_used_up' },
    })
  })
})

describe('a certificate', () => {
  it('is kept whole with its SHA-256, once however often it is sent, and given back to the byte', async () => {
    const kept = await upload(maker, 'COA 12.pdf', PDF)
    expect(kept).toMatchObject({
      status: 200,
      body: {
        name: 'COA 12.pdf',
        mime: 'application/pdf',
        bytes: PDF.length,
        sha256: createHash('sha256').update(PDF).digest('hex'),
      },
    })
    expect((await upload(maker, 'again.pdf', PDF)).body.id).toBe(kept.body.id)
    const answer = await fetch(`${shop.address}/api/files/${kept.body.id}`, { headers: { cookie: maker.cookie } })
    expect(Buffer.from(await answer.arrayBuffer())).toEqual(PDF)
    expect(answer.headers.get('content-type')).toBe('application/pdf')
    expect(answer.headers.get('content-security-policy')).toContain('sandbox')
    const { code } = await must(
      maker.post(
        '/api/ingredients',
        ingredient('curing_salt', {
          certificate: {
            number: 'COA 12',
            nitritePercent: '6.25',
            nitriteAs: 'NaNO2',
            tolerancePercent: '0.25',
            fileId: kept.body.id,
          },
        }),
      ),
    )
    expect((await dryOf(code)).certificateFile).toMatchObject({ sha256: kept.body.sha256 })
    expect(
      await maker.post(
        '/api/ingredients',
        ingredient('curing_salt', {
          certificate: {
            number: 'X',
            nitritePercent: '6.25',
            nitriteAs: 'NaNO2',
            tolerancePercent: '0',
            fileId: 999_999,
          },
        }),
      ),
    ).toMatchObject({ body: { code: 'no_such_file' } })
  })
  it('with a path in its name stays out of every folder', async () => {
    const { body } = await upload(maker, '../../../../etc/cron.d/evil.pdf', Buffer.from('%PDF-1.4 path'))
    expect(body.name).toBe('evil.pdf')
    const answer = await fetch(`${shop.address}/api/files/${body.id}`, { headers: { cookie: maker.cookie } })
    expect(answer.headers.get('content-disposition')).toBe('inline; filename*=UTF-8\'\'evil.pdf')
  })
  it('that is none is refused: pages, drawings, programs, nothing', async () => {
    for (const content of ['<html><script>alert(1)</script>', '<svg onload="alert(1)"/>', 'MZ program'])
      expect(await upload(maker, 'x.pdf', Buffer.from(content))).toMatchObject({
        status: 422,
        body: { code: 'file_kind' },
      })
    expect(await upload(maker, 'x.pdf', Buffer.alloc(0))).toMatchObject({ status: 422, body: { code: 'file_empty' } })
  })
  it('comes from our own pages, from someone signed in who may record', async () => {
    expect(await upload(maker, 'x.pdf', PDF, { origin: 'http://elsewhere.example' })).toMatchObject({
      status: 403,
      body: { code: 'cross_site' },
    })
    expect(await upload(shop.client(), 'x.pdf', PDF)).toMatchObject({ status: 401 })
    expect(await upload(await shop.signedIn(INSPECTOR), 'x.pdf', PDF)).toMatchObject({ status: 403 })
  })
  it('of 1 GB is refused before it is read, said or unsaid', async () => {
    const { hostname, port } = new URL(shop.address)
    const send = (head: string, body: (socket: net.Socket) => void) =>
      new Promise<string>((resolve, reject) => {
        const socket = net.connect(Number(port), hostname)
        let answer = ''
        socket.on('data', chunk => (answer += chunk))
        socket.on('close', () => resolve(answer))
        // A server that hangs up while we still send resets the line: its answer came first.
        socket.on('error', error => (answer ? resolve(answer) : reject(error)))
        socket.write(
          `POST /api/files?name=big.pdf HTTP/1.1\r\nHost: ${hostname}:${port}\r\nOrigin: `
          + `${shop.address}\r\nCookie: ${maker.cookie}\r\n${head}\r\n\r\n`,
        )
        body(socket)
      })
    const said = await send('Content-Length: 1073741824', socket => socket.write(Buffer.alloc(64 * 1024, 1)))
    expect(said).toMatch(/^HTTP\/1\.1 413/)
    expect(said).toContain('file_too_large')
    const chunk = Buffer.alloc(1024 * 1024, 1)
    const unsaid = await send('Transfer-Encoding: chunked', (socket) => {
      const pour = (left: number) => {
        if (left === 0 || socket.destroyed || !socket.writable) return
        socket.write(`${chunk.length.toString(16)}\r\n`)
        socket.write(chunk)
        socket.write('\r\n', () => pour(left - 1))
      }
      pour(1024)
    })
    expect(unsaid).toMatch(/^HTTP\/1\.1 413/)
    expect((await maker.get('/api/health')).status).toBe(200)
  })
})

describe('suppliers and customers', () => {
  it('are known by name once used, and keep contact and approval number; what they were called stays in the book', async () => {
    const { rows: parties } = (await maker.get('/api/parties')).body
    const farm = parties.find((p: { name: string }) => p.name === 'North Farm')
    await must(
      maker.send('PUT', `/api/parties/${farm.id}`, {
        name: 'North Hill Farm',
        contact: '3 Made-up Lane',
        approval: 'XX 0001',
        note: null,
      }),
    )
    expect((await maker.get('/api/events')).body[0]).toMatchObject({
      kind: 'party_changed',
      computed: { before: { name: 'North Farm' } },
    })
    expect((await meatOf(s.meat)).supplier).toBe('North Hill Farm')
    await must(
      maker.post('/api/parties', { kind: 'customer', name: 'Corner', contact: null, approval: null, note: null }),
    )
    expect(
      await maker.post('/api/parties', { kind: 'customer', name: 'Corner', contact: null, approval: null, note: null }),
    ).toMatchObject({ body: { code: 'name_taken' } })
  })
})

it('a lot is held by hand by anyone who records, and let go by the owner alone', async () => {
  const { code } = await must(maker.post('/api/lots', rub(s)))
  await must(maker.post(`/api/lots/${code}/hold`, { text: 'a bag leaked' }))
  const lot = await must(maker.get(`/api/lots/${code}`))
  expect(lot.holds).toMatchObject([{ reason: 'by_hand', note: 'a bag leaked' }])
  expect(
    await maker.post(`/api/holds/${lot.holds[0].id}/disposition`, { disposition: 'release', text: 'dried it' }),
  ).toMatchObject({ status: 403 })
})

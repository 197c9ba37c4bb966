import { readFileSync } from 'node:fs'
import http from 'node:http'
import net from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Client } from '../support/client'
import { celsius, rub, stock } from '../support/goods'
import { confirm, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let pid: number
let owner: Client

beforeAll(async () => {
  shop = await openTestShop()
  pid = shop.pid!
  owner = await shop.signedIn(OWNER)
})
afterAll(() => shop.close())

/** Memory of the application as the system counts it, bytes. */
const rss = () => Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) * 1024
const MB = 1e6

/**
 * Sends a body without saying how long it is, for as long as anyone reads it. Answers with the status and how much went
 * out.
 */
function pour(
  path: string,
  headers: Record<string, string>,
  mostBytes: number,
): Promise<{ status: number; sent: number }> {
  const { hostname, port } = new URL(shop.address)
  return new Promise((resolve) => {
    let sent = 0
    let status = 0
    const request = http.request({
      hostname,
      port,
      path,
      method: 'POST',
      headers: {
        'origin': shop.address,
        'content-type': 'application/json',
        'transfer-encoding': 'chunked',
        ...headers,
      },
    })
    const chunk = Buffer.alloc(256 * 1024, ' ')
    const more = () => {
      while (sent < mostBytes && !request.destroyed) {
        sent += chunk.length
        if (!request.write(chunk)) return void request.once('drain', more)
      }
      request.end()
    }
    request.on('response', (answer) => {
      status = answer.statusCode!
      answer.resume()
    })
    request.on('error', () => {})
    request.on('close', () => resolve({ status, sent }))
    more()
  })
}

describe('a body without end', () => {
  it.each([['/api/session'], ['/api/setup'], ['/api/station/signature']])(
    'at the door %s is cut off after 10 kB',
    async (path) => {
      const before = rss()
      const { status, sent } = await pour(path, {}, 200 * MB)
      // Who goes on sending may find the line cut before the answer is read.
      expect([413, 0]).toContain(status)
      expect(sent).toBeLessThan(20 * MB)
      expect(rss() - before).toBeLessThan(80 * MB)
    },
  )
  it('of somebody signed in is cut off after 2 MB', async () => {
    const { status, sent } = await pour(
      '/api/parties',
      { 'cookie': owner.cookie, 'idempotency-key': crypto.randomUUID() },
      200 * MB,
    )
    expect([413, 0]).toContain(status)
    expect(sent).toBeLessThan(30 * MB)
  })
  it('is answered in words when it says how long it is', async () => {
    const reply = await shop.client().post('/api/session', { signIn: 'ada', password: 'x'.repeat(20_000) })
    expect(reply).toMatchObject({ status: 413, body: { code: 'too_large', detail: expect.stringContaining('10 kB') } })
  })
})

describe('a body that is no message of ours', () => {
  const raw = (body: string, headers: Record<string, string> = {}) => owner.send('POST', '/api/cards', body, headers)
  it.each([
    ['lists in lists', `{"draft":{"a":${'['.repeat(1000)}${']'.repeat(1000)}}}`, 400, 'too_deep'],
    ['objects in objects', `${'{"a":'.repeat(60)}1${'}'.repeat(60)}`, 400, 'too_deep'],
    ['brackets in a text are text', `{"draft":{"a":"${'['.repeat(900)}\\"${'{'.repeat(900)}"}}`, 200, undefined],
    ['half a JSON', '{"draft":', 400, 'not_json'],
  ])('%s', async (_what, body, status, code) =>
    expect(await raw(body)).toMatchObject({ status, body: code ? { code } : {} }),
  )
  it('is refused as plain text, which any page may send', async () =>
    expect(await raw('{"draft":{}}', { 'content-type': 'text/plain' })).toMatchObject({
      status: 415,
      body: { code: 'not_json_type' },
    }))
})

describe('a download', () => {
  beforeAll(async () => {
    const maker = await shop.signedIn(MAKER)
    await maker.post('/api/lots', rub(await stock(maker)))
    // Larger than every buffer between here and there.
    await shop.sql(
      'INSERT INTO files (sha256, name, mime, bytes, content, at, by_id) SELECT SHA2(seq, 256), CONCAT(seq, '
      + '\'.jpg\'), \'image/jpeg\', 3000000, REPEAT(CHAR(seq), 3000000), NOW(3), 1 FROM seq_1_to_12',
    )
  })
  /** An export reads the head first and keeps its table from being altered until its transaction ends. */
  const isHeld = async () => {
    await shop.sql('SET SESSION lock_wait_timeout = 1')
    return await shop.sql(`ALTER TABLE book_head COMMENT = '${Math.random()}'`).then(
      () => false,
      (error: { code: string }) => {
        expect(error.code).toBe('ER_LOCK_WAIT_TIMEOUT')
        return true
      },
    )
  }
  /** Asks for the whole shop and goes away after the first bytes, or reads no further. */
  const begin = (stay: boolean) =>
    new Promise<net.Socket>((resolve) => {
      const { hostname, port } = new URL(shop.address)
      const socket = net.connect(Number(port), hostname, () =>
        socket.write(`GET /api/export/shop HTTP/1.1\r\nHost: ${hostname}:${port}\r\nCookie: ${owner.cookie}\r\n\r\n`),
      )
      socket.on('error', () => {})
      socket.once('data', (first) => {
        expect(String(first)).toContain('200 OK')
        socket.pause()
        if (!stay) socket.destroy()
        resolve(socket)
      })
    })
  it('that is dropped halfway, eight times over, holds nothing open', async () => {
    await confirm(owner)
    for (let i = 0; i < 8; i++) await begin(false)
    await expect.poll(isHeld, { timeout: 10_000 }).toBe(false)
    expect((await owner.get('/api/export/shop')).status).toBe(200)
  })
  it('that is read by nobody leaves pages and records as they are, and is let go', async () => {
    const stalled = [await begin(true), await begin(true)]
    expect(await isHeld()).toBe(true)
    const startedMs = performance.now()
    for (let i = 0; i < 6; i++) {
      expect((await owner.get('/api/floor')).status).toBe(200)
      expect((await owner.post('/api/fridges/1/readings', { temperature: celsius('3') })).status).toBe(200)
    }
    expect(performance.now() - startedMs).toBeLessThan(10_000)
    await expect.poll(isHeld, { timeout: 90_000, interval: 1000 }).toBe(false)
    for (const socket of stalled) socket.destroy()
  }, 120_000)
})

it('files of 10 MB less a few bytes are taken, as promised', async () => {
  for (const bytes of [8_400_000, 9_990_000, 10_000_000]) {
    const content = Buffer.alloc(bytes, 3)
    content.write('ffd8ffe0', 'hex')
    content.writeUInt32LE(bytes, 100)
    const answer = await fetch(`${shop.address}/api/files?name=large.jpg`, {
      method: 'POST',
      body: content,
      headers: { origin: shop.address, cookie: owner.cookie },
    })
    expect(answer.status, String(bytes)).toBe(200)
  }
  // One that says it is larger is refused before it is sent: nothing of it is waited for.
  const over = await new Promise<number | undefined>((resolve, reject) => {
    const { hostname, port } = new URL(shop.address)
    const asked = http.request(
      {
        hostname,
        port,
        path: '/api/files?name=large.jpg',
        method: 'POST',
        headers: { 'origin': shop.address, 'cookie': owner.cookie, 'content-length': 10_000_001 },
      },
      answer => resolve(answer.statusCode),
    )
    asked.on('error', reject)
    asked.write(Buffer.alloc(1000, 255))
  })
  expect(over).toBe(413)
})

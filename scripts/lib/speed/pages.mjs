import { randomUUID } from 'node:crypto'
import http from 'node:http'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp } from '../app-server.mjs'
import { ensureBuild } from '../build.mjs'
import { growShop } from '../grow/grow-shop.mjs'
import { connectAsOwner } from '../grow/tables.mjs'
import { startMariadb } from '../mariadb.mjs'
import { prepare } from '../prepare.mjs'
import { freePort } from '../processes.mjs'
import { median, rank, sorted } from '../ranks.mjs'
import { firstVisit } from './first-visit.mjs'

const SIZES = [40, 400, 4000]
const READINGS_A_RUN = 400
const LONG_RUN_READINGS = 50_000
const CALLS = 15
const PEOPLE = 20
const CLICKING_MS = 20_000

const most = times => Math.max(0, ...times)
const STALLS = new URL('./stalls.mjs', import.meta.url).href

/** A signed-in person's requests; each answer with its time and how much came over the line. */
export async function person(address) {
  const { hostname, port } = new URL(address)
  const agent = new http.Agent({ keepAlive: true })
  let cookie = ''
  const ask = (method, path, body) =>
    new Promise((resolve, reject) => {
      const content = body === undefined ? null : JSON.stringify(body)
      const began = performance.now()
      const headers = {
        'origin': address,
        'accept-encoding': 'gzip, br',
        cookie,
        ...(content
          ? {
              'content-type': 'application/json',
              'content-length': Buffer.byteLength(content),
              'idempotency-key': randomUUID(),
            }
          : {}),
      }
      const request = http.request({ hostname, port, path, method, agent, headers }, (answer) => {
        let bytes = 0
        const parts = []
        answer.on('data', (part) => {
          bytes += part.length
          if (answer.statusCode >= 400) parts.push(part)
        })
        answer.on('end', () =>
          answer.statusCode < 400
            ? resolve({ ms: performance.now() - began, bytes, cookies: answer.headers['set-cookie'] ?? [] })
            : reject(new Error(`${method} ${path}: ${answer.statusCode} ${Buffer.concat(parts).subarray(0, 300)}`)),
        )
        answer.on('error', reject)
      })
      request.on('error', reject)
      request.end(content ?? undefined)
    })
  const { cookies } = await ask('POST', '/api/session', { signIn: 'marit', password: 'bacon-and-brine' })
  cookie = cookies.map(one => one.split(';')[0]).join('; ')
  return { get: path => ask('GET', path), post: (path, body) => ask('POST', path, body), close: () => agent.destroy() }
}

/** Resident memory of a process in MB, now or at its highest. */
const memoryMb = (pid, what = 'VmRSS') =>
  Math.round(Number(new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024)

/**
 * What is looked at, by name: the rooms, a lot and a smoke in the middle of the years, the most used ingredient's
 * thread, and the commonest press.
 */
async function looks(owner) {
  const one = async sql => (await owner.query(sql))[0].code
  const lot = await one('SELECT code FROM lots WHERE finished_at IS NOT NULL ORDER BY id DESC LIMIT 1 OFFSET 20')
  const run = await one('SELECT code FROM runs ORDER BY id DESC LIMIT 1 OFFSET 12')
  const long = await one(
    'SELECT s.code FROM runs s JOIN run_readings r ON r.run_id = s.id GROUP BY s.id ORDER BY COUNT(*) DESC, s.id LIMIT 1',
  )
  const [{ code: longLot }] = await owner.query(
    'SELECT l.code FROM lots l JOIN pieces p ON p.lot_id = l.id JOIN run_pieces r ON r.piece_id = p.id JOIN runs s ON s.id = r.run_id WHERE s.code = ? LIMIT 1',
    [long],
  )
  const ingredient = await one(
    'SELECT n.code FROM ingredient_lots n JOIN lot_ingredients u ON u.ingredient_lot_id = n.id GROUP BY n.id ORDER BY COUNT(*) DESC LIMIT 1',
  )
  const get = (name, path) => ({ name, ask: who => who.get(path) })
  return [
    get('floor', '/api/floor'),
    get('store', '/api/store'),
    get('bench', '/api/bench'),
    get('ledger: lots', '/api/lots'),
    get('ledger: the book', '/api/events'),
    get('salt ledger', '/api/salt-ledger'),
    get('recipes', '/api/recipes'),
    get('office', '/api/office'),
    get('a lot', `/api/lots/${lot}`),
    get('a smoke', `/api/runs/${run}`),
    get('a long smoke\'s lot', `/api/lots/${longLot}`),
    get('a long smoke', `/api/runs/${long}`),
    get(`thread of ${ingredient}`, `/api/thread/${ingredient}`),
    {
      name: 'a fridge reading',
      ask: who => who.post('/api/fridges/1/readings', { temperature: { typed: '3.2', unit: 'C' } }),
    },
  ]
}

/** The thread's own answer as one statement: what no program can be quicker than. */
async function bestStatement(owner, name) {
  const times = []
  for (let i = 0; i < 5; i++) {
    const began = performance.now()
    await owner.query(
      `SELECT l.code AS lot, p.code AS pack, p.net_g, d.sent_on, c.name FROM (SELECT DISTINCT lot_id FROM lot_ingredients WHERE voided = 0 AND ingredient_lot_id = (SELECT id FROM ingredient_lots WHERE code = ?)) u
      JOIN lots l ON l.id = u.lot_id AND l.voided = 0 JOIN packs p ON p.lot_id = l.id AND p.voided = 0 LEFT JOIN dispatches d ON d.id = p.dispatch_id AND d.voided = 0 LEFT JOIN parties c ON c.id = d.customer_id`,
      [name.split(' ').at(-1)],
    )
    times.push(performance.now() - began)
  }
  return median(times)
}

async function clicking(address, pages) {
  const times = new Map(pages.map(page => [page.name, []]))
  // One after another: many tries at one moment close a name.
  const people = []
  for (let i = 0; i < PEOPLE; i++) people.push(await person(address))
  const until = performance.now() + CLICKING_MS
  await Promise.all(
    people.map(async (who, i) => {
      for (let n = i; performance.now() < until; n++) {
        const page = pages[n % pages.length]
        times.get(page.name).push((await page.ask(who)).ms)
        // Nobody clicks twenty times a second.
        await new Promise(done => setTimeout(done, 300))
      }
    }),
  )
  for (const who of people) who.close()
  return times
}

/** How a page is answered while somebody has the whole book walked. */
async function walking(who) {
  let over = false
  const walk = who.get('/api/book/check').finally(() => (over = true))
  const floors = []
  while (!over) floors.push((await who.get('/api/floor')).ms)
  return { ms: (await walk).ms, floors }
}

async function measure(entry, lots) {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-pages-'))
  const database = await startMariadb(join(folder, 'db'), { durable: false })
  let [app, owner] = [null, null]
  /** Stretches in which the application answered nobody, ms: those of the page that is asked now. */
  let stalls = []
  try {
    await prepare(database)
    await growShop({ ...database, lots, readingsARun: READINGS_A_RUN, longRun: LONG_RUN_READINGS })
    owner = await connectAsOwner(database.adminUrl)
    app = await startApp({
      entry,
      port: await freePort(),
      databaseUrl: database.url,
      sessionSecret: 'b'.repeat(40),
      env: { DEMO: '1', NODE_OPTIONS: `--import ${STALLS}` },
      onLine: (line) => {
        const [, stalledMs] = /^stalled (\d+)$/.exec(line) ?? []
        if (stalledMs) stalls.push(Number(stalledMs))
      },
    })
    const statements = async () => Number((await owner.query('SHOW GLOBAL STATUS LIKE \'Questions\''))[0].Value)
    const who = await person(app.address)
    const pages = await looks(owner)
    const rows = []
    for (const page of pages) {
      await page.ask(who)
      const before = await statements()
      const answers = []
      stalls = []
      for (let i = 0; i < CALLS; i++) answers.push(await page.ask(who))
      rows.push({
        name: page.name,
        ms: median(answers.map(one => one.ms)),
        worst: most(answers.map(one => one.ms)),
        bytes: answers.at(-1).bytes,
        asked: ((await statements()) - before - 1) / CALLS,
        stall: most(stalls),
      })
    }
    const thread = pages.find(page => page.name.startsWith('thread'))
    const best = await bestStatement(owner, thread.name)
    const alone = memoryMb(app.pid)
    stalls = []
    const busy = await clicking(app.address, pages)
    const clickStalls = stalls
    stalls = []
    const walk = { ...(await walking(who)), stall: most(stalls) }
    const peak = memoryMb(app.pid, 'VmHWM')
    const first = await firstVisit(app.address, folder)
    who.close()
    return { lots, stalls: clickStalls, walk, first, rows: rows.map(row => ({ ...row, busy: busy.get(row.name) })), best, alone, peak }
  }
  finally {
    await owner?.end()
    await app?.stop()
    await database.stop()
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
}

/**
 * Every page of a shop of some months, of a year, and of ten: time, size and statements, alone and while twenty people
 * click.
 */
export async function measurePages(sizes = SIZES) {
  const { entry } = await ensureBuild()
  for (const lots of sizes) {
    const { rows, best, alone, peak, stalls, walk, first } = await measure(entry, lots)
    console.log(
      `  ${lots} lots: median ms, worst of ${CALLS}, kB over the line, statements, longest stall; with ${PEOPLE} people clicking median and p99`,
    )
    for (const { name, ms, worst, bytes, asked, stall, busy } of rows) {
      const clicked = sorted(busy)
      console.log(
        `    ${name.padEnd(22)} ${ms.toFixed(1).padStart(7)} ${worst.toFixed(1).padStart(7)} ${(bytes / 1000).toFixed(1).padStart(8)} ${asked.toFixed(0).padStart(4)} ${String(stall).padStart(4)}   ${rank(clicked, 0.5).toFixed(1).padStart(7)} ${rank(clicked, 0.99).toFixed(1).padStart(7)}`,
      )
    }
    console.log(
      `    while they click nobody was answered for over 20 ms ${stalls.length} times in ${CLICKING_MS / 1000} s, at most for ${most(stalls)} ms`,
    )
    console.log(
      `    the book walked in ${(walk.ms / 1000).toFixed(1)} s; the floor meanwhile ${median(walk.floors).toFixed(1)} ms, longest stall ${walk.stall} ms`,
    )
    console.log(
      `    a first visit to Today: ${first.requests} requests, ${first.kb} kB; ${first.scripts} scripts, ${first.scriptsKb} kB`,
    )
    console.log(
      `    best single statement for the thread ${best.toFixed(1)} ms; memory of the process ${alone} MB, at most ${peak} MB`,
    )
  }
}

import { randomUUID } from 'node:crypto'
import http from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp } from '../app-server.mjs'
import { ensureBuild } from '../build.mjs'
import { startMariadb } from '../mariadb.mjs'
import { prepare } from '../prepare.mjs'
import { freePort } from '../processes.mjs'
import { rank } from '../ranks.mjs'
import { importSource } from '../typescript.mjs'

const CLIENTS = 8
const SECONDS = 20
/** One process below its limit, and two together: at the limit only the queue would be measured. */
const STEADY_PER_SECOND = { one: 75, two: 100 }
const WARM_UP_SECONDS = 6
const CHAIN_LENGTH = 1_000_000
const SETUP_CODE = 'BENCH'

const ms = value => `${value.toFixed(1)} ms`
const say = (name, text) => console.log(`  ${name.padEnd(58)} ${text}`)

/** One JSON request on a kept-alive line. */
function sender(address) {
  const { hostname, port } = new URL(address)
  const agent = new http.Agent({ keepAlive: true, maxSockets: 64 })
  const send = (path, body, cookie) =>
    new Promise((resolve, reject) => {
      const content = JSON.stringify(body)
      const request = http.request(
        {
          hostname,
          port,
          path,
          method: 'POST',
          agent,
          headers: {
            'origin': address,
            'idempotency-key': randomUUID(),
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(content),
            ...(cookie ? { cookie } : {}),
          },
        },
        (answer) => {
          let text = ''
          answer.on('data', chunk => (text += chunk))
          answer.on('end', () =>
            answer.statusCode === 200
              ? resolve({
                  body: JSON.parse(text),
                  cookie: answer.headers['set-cookie']?.map(one => one.split(';')[0]).join('; '),
                })
              : reject(new Error(`${answer.statusCode} ${text}`)),
          )
        },
      )
      request.on('error', reject)
      request.end(content)
    })
  return { send, close: () => agent.destroy() }
}

/** Bare commits of one small row, as fast as so many connections go. */
async function bareCommits(url, connections) {
  const mariadb = await import('mariadb')
  const { hostname, port, username, password, pathname } = new URL(url)
  const open = () =>
    mariadb.createConnection({
      host: hostname,
      port: Number(port),
      user: username,
      password,
      database: pathname.slice(1),
    })
  const lines = await Promise.all(Array.from({ length: connections }, open))
  const endMs = performance.now() + 5000
  let count = 0
  await Promise.all(
    lines.map(async (line) => {
      while (performance.now() < endMs) {
        await line.query('INSERT INTO bare (text) VALUES (?)', ['one small row'])
        count += 1
      }
    }),
  )
  await Promise.all(lines.map(line => line.end()))
  return count / 5
}

/** Records sent at an even pace whether or not the ones before are answered. */
async function steadily(record, perSecond, seconds) {
  const times = []
  const waiting = []
  const startMs = performance.now()
  for (let n = 0; n < perSecond * seconds; n++) {
    const dueMs = startMs + (n * 1000) / perSecond
    const wait = dueMs - performance.now()
    if (wait > 1) await new Promise(done => setTimeout(done, wait))
    // Each is timed from when it was due: a queue that builds up counts.
    waiting.push(record(n).then(() => times.push(performance.now() - dueMs)))
  }
  await Promise.all(waiting)
  return { times: times.toSorted((a, b) => a - b), perSecond: times.length / ((performance.now() - startMs) / 1000) }
}

async function flatOut(record, clients, seconds) {
  const endMs = performance.now() + seconds * 1000
  const times = []
  await Promise.all(
    Array.from({ length: clients }, async (_, i) => {
      while (performance.now() < endMs) {
        const startMs = performance.now()
        await record(i)
        times.push(performance.now() - startMs)
      }
    }),
  )
  return { times: times.toSorted((a, b) => a - b), perSecond: times.length / seconds }
}

/** A million chained records with a sealed reading each, written in large steps: only reading them back is measured. */
async function longChain(adminUrl) {
  const [
    { connect },
    { verifyBook },
    { chainText, FIRST_HASH },
    { touchedText },
    { sha256 },
    { digestsOf },
    { placeReadings },
  ] = await Promise.all(
    [
      'server/db/line/connect.ts',
      'server/db/integrity/verify-book.ts',
      'core/book/chain-text.ts',
      'core/book/touched.ts',
      'server/digest/sha256.ts',
      'server/db/table/row-digests.ts',
      'server/db/tables/places.ts',
    ].map(importSource),
  )
  const sequelize = connect(adminUrl, 2)
  const marks = list => list.map(row => `(${row.map(() => '?').join(',')})`).join(',')
  const insert = (into, rows) =>
    sequelize.query(`INSERT INTO ${into} VALUES ${marks(rows)}`, { type: 'INSERT', replacements: rows.flat() })
  const stored = atMs => new Date(atMs).toISOString().replace('T', ' ').replace('Z', '')
  try {
    const [{ last, hash: from }] = await sequelize.query('SELECT last_id AS last, hash FROM book_head', {
      type: 'SELECT',
    })
    const [{ read }] = await sequelize.query('SELECT COALESCE(MAX(id), 0) AS `read` FROM place_readings', {
      type: 'SELECT',
    })
    let hash = last ? from : FIRST_HASH
    const beganMs = Date.UTC(2026, 0, 1)
    for (let id = last + 1; id <= CHAIN_LENGTH;) {
      const ids = Array.from({ length: Math.min(2000, CHAIN_LENGTH - id + 1) }, (_, i) => id + i)
      const readingOf = event => event - last + Number(read)
      await insert(
        'place_readings (id, place_id, at, temp_c, typed, thermometer_id, offset_c, by_id)',
        ids.map(event => [readingOf(event), 1, stored(beganMs + event * 1000), '3.40', '3.4 °C', 1, '0.00', 1]),
      )
      const digests = new Map(
        (await digestsOf(sequelize, placeReadings, ids.map(readingOf))).map(row => [row.id, row.digest]),
      )
      const [events, eventRows] = [[], []]
      for (; id <= ids.at(-1); id++) {
        const reading = readingOf(id)
        const touched = touchedText(new Map([['place_readings', new Map([[reading, digests.get(reading)]])]]))
        const row = {
          id,
          kind: 'fridge_read',
          userId: 1,
          who: 'Ada Bench',
          station: 'Wall tablet',
          atMs: beganMs + id * 1000,
          zone: 'America/Chicago',
          arithmetic: '1',
          typed: '{"fridge":"Cold room","temperature":"3.4 °C"}',
          computed: `{"readC":3.4,"tempC":3.4,"offsetC":0,"readingId":${reading},"fridgeId":1}`,
          reason: null,
          subjects: '["L-0001"]',
          voidsId: null,
          clockBehindMs: null,
          touched,
        }
        hash = sha256(chainText(hash, row))
        events.push([
          id,
          row.kind,
          1,
          row.who,
          row.station,
          stored(row.atMs),
          row.zone,
          row.arithmetic,
          row.typed,
          row.computed,
          row.subjects,
          hash,
        ])
        eventRows.push([id, touched])
      }
      await insert(
        'events (id, kind, user_id, who, station, at, zone, arithmetic, typed, computed, subjects, hash)',
        events,
      )
      await insert('event_rows (event_id, touched)', eventRows)
      await insert(
        'event_subjects (event_id, code)',
        ids.map(event => [event, 'L-0001']),
      )
    }
    await sequelize.query('UPDATE book_head SET last_id = ?, hash = ?', {
      type: 'UPDATE',
      replacements: [CHAIN_LENGTH, hash],
    })
    const check = await verifyBook(sequelize)
    if (check.found > 0 || check.records !== CHAIN_LENGTH)
      throw new Error(`the long chain does not hold: ${JSON.stringify(check).slice(0, 2000)}`)
    return check
  }
  finally {
    await sequelize.close()
  }
}

/**
 * How fast records go through HTTP into the chained book, beside what the disk alone allows; and how fast the book is
 * walked.
 */
export async function measureBook() {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-speed-'))
  const { entry } = await ensureBuild()
  const database = await startMariadb(join(folder, 'db'))
  const apps = []
  const open = async () => {
    const app = await startApp({
      entry,
      port: await freePort(),
      databaseUrl: database.url,
      sessionSecret: 'b'.repeat(40),
      env: { SETUP_CODE },
    })
    apps.push(app)
    return sender(app.address)
  }
  try {
    await prepare(database)
    const { connect } = await importSource('server/db/line/connect.ts')
    const admin = connect(database.adminUrl, 1)
    await admin.query('CREATE TABLE bare (id INT AUTO_INCREMENT PRIMARY KEY, text VARCHAR(40))', { type: 'RAW' })
    await admin.close()
    for (const lines of [1, CLIENTS])
      say(
        `bare single-row InnoDB commits, ${lines} connection${lines > 1 ? 's' : ''}`,
        `${(await bareCommits(database.adminUrl, lines)).toFixed(0)} a second`,
      )
    const first = await open()
    const { cookie } = await first.send('/api/setup', {
      code: SETUP_CODE,
      ruleSetId: 'us',
      notation: { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' },
      shopName: 'Bench shed',
      zone: 'America/Chicago',
      owner: { name: 'Ada Bench', initials: 'AB', signIn: 'ada', password: 'a long password' },
    })
    // A fridge each: two records about one thing wait for each other whatever else is fast.
    for (let n = 2; n <= CLIENTS; n++)
      await first.send('/api/office/fridges', { name: `Fridge ${n}`, thermometerId: null }, cookie)
    const recordTo = senders => n =>
      senders[n % senders.length].send(
        `/api/fridges/${1 + (n % CLIENTS)}/readings`,
        { temperature: { typed: (2.5 + (n % 20) / 10).toFixed(1), unit: 'C' } },
        cookie,
      )
    const tell = (name, { times, perSecond }) =>
      say(name, `${perSecond.toFixed(0)} a second   median ${ms(rank(times, 0.5))}   p99 ${ms(rank(times, 0.99))}`)
    const one = recordTo([first])
    await flatOut(one, CLIENTS, WARM_UP_SECONDS)
    tell(`one process, ${CLIENTS} clients flat out for 10 s`, await flatOut(one, CLIENTS, 10))
    tell(
      `one process, ${STEADY_PER_SECOND.one} a second for ${SECONDS} s`,
      await steadily(one, STEADY_PER_SECOND.one, SECONDS),
    )
    const second = await open()
    const two = recordTo([first, second])
    await flatOut(two, CLIENTS, WARM_UP_SECONDS)
    tell(
      `two processes on one chain, ${STEADY_PER_SECOND.two} a second for ${SECONDS} s`,
      await steadily(two, STEADY_PER_SECOND.two, SECONDS),
    )
    for (const { close } of [first, second]) close()
    const check = await longChain(database.adminUrl)
    say('walking a book of 1,000,000 records and as many rows', `${(check.ms / 1000).toFixed(1)} s`)
  }
  finally {
    for (const app of apps) await app.stop()
    await database.stop()
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
}

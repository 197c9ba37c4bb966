import { createHash } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import Papa from 'papaparse'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { z } from 'zod'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { exportSchema } from '../../server/db/portable/portable-tables'
import { Client } from '../support/client'
import { exportAsOnce } from '../support/old-records'
import { freshDatabase, type FreshDatabase } from '../support/database'
import { setting } from '../support/setting'
import { runScript } from '../support/script'
import { confirm, OWNER, openTestShop, type TestShop } from '../support/shop'

const SCHEMA_FILE = resolve(import.meta.dirname, '../../docs/shop-export.schema.json')
const OLD_EXPORT = resolve(import.meta.dirname, '../fixtures/shop-export-2.json.gz')
let shop: TestShop
let owner: Client
let folder: string
let other: FreshDatabase

beforeAll(async () => {
  shop = await openTestShop({ demo: true })
  owner = await shop.signedIn({ signIn: 'marit', password: 'bacon-and-brine' })
  folder = mkdtempSync(join(tmpdir(), 'veldmoor-portable-'))
})
afterAll(async () => {
  await shop.close()
  rmSync(folder, { recursive: true, force: true })
})

const on = (database: { url?: string; databaseUrl?: string; adminUrl: string }) => ({
  DATABASE_URL: database.url ?? database.databaseUrl!,
  DATABASE_ADMIN_URL: database.adminUrl,
})
type Sql = FreshDatabase['sql']
const tablesOf = async (sql: Sql) =>
  (
    await sql<{ name: string }>(
      'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY 1',
    )
  ).map(row => row.name)
/** A sum over every row of every table, by MariaDB itself. */
async function sums(sql: Sql, leaveOut: string[] = []) {
  const names = (await tablesOf(sql)).filter(name => !leaveOut.includes(name))
  return Object.fromEntries(
    await Promise.all(
      names.map(async name => [
        name,
        String((await sql<{ Checksum: unknown }>(`CHECKSUM TABLE \`${name}\``))[0]!.Checksum),
      ]),
    ),
  )
}

describe('a back-up', () => {
  const file = () => join(folder, 'shop.sql.gz')
  it('is written while the shop runs, and names the seal of the book', async () => {
    const { code, output } = await runScript('backup', [file()], on(shop))
    expect(code, output).toBe(0)
    const { end } = (await owner.get('/api/book/check')).body
    expect(output).toContain(`Book unbroken up to record ${end.id}. Its seal, to note on paper: ${end.id}:${end.hash}`)
    expect(readdirSync(folder)).toEqual(['shop.sql.gz'])
  })
  it('put into another database gives the same rows to the last, the same book, and a shop that opens', async () => {
    other = await freshDatabase({ ready: false })
    const { code, output } = await runScript('restore', [file()], on(other))
    expect(code, output).toBe(0)
    expect(output).toMatch(/Restored\. Book unbroken up to record \d+/)
    expect(await sums(other.sql)).toEqual(await sums(shop.sql))
    const app = await startApp({
      entry: setting('TEST_APP_ENTRY'),
      port: await freePort(),
      databaseUrl: other.url,
      sessionSecret: 'x'.repeat(40),
    })
    try {
      const client = new Client(app.address)
      expect(await client.post('/api/session', { signIn: 'tam', password: 'bacon-and-brine' })).toMatchObject({
        status: 200,
      })
      expect((await client.get('/api/floor')).body.lots.length).toBeGreaterThanOrEqual(8)
      // Rights came back with it: the restored book is as closed to the application as the first.
      expect((await client.get('/api/book/check')).body).toMatchObject({ broken: null, changeable: false })
    }
    finally {
      await app.stop()
    }
  })
  it('cut short, or none at all, is refused and changes nothing', async () => {
    const before = await sums(other.sql)
    const half = join(folder, 'half.sql.gz')
    const text = gunzipSync(readFileSync(file()))
    for (const content of [
      gzipSync(text.subarray(0, text.length / 2)),
      readFileSync(file()).subarray(0, 4000),
      Buffer.from('no gzip'),
    ]) {
      writeFileSync(half, content)
      const { code, output } = await runScript('restore', [half], on(other))
      expect(code).toBe(1)
      expect(output).toContain('Nothing was changed')
    }
    expect((await runScript('restore', [join(folder, 'nowhere')], on(other))).output).toContain('There is no file')
    expect(await sums(other.sql)).toEqual(before)
  })
  const doctored = (name: string, change: (text: string) => string) => {
    const path = join(folder, name)
    writeFileSync(path, gzipSync(change(gunzipSync(readFileSync(file())).toString('latin1')), { level: 1 }))
    return path
  }
  const beside = async () =>
    (
      await other.sql<{ name: string }>(
        'SELECT schema_name AS name FROM information_schema.schemata WHERE schema_name LIKE ?',
        [`${new URL(other.url).pathname.slice(1)}\\_%`],
      )
    ).map(row => row.name)
  it('that breaks off midway leaves the shop that was there, and says so', async () => {
    const before = await sums(other.sql)
    const bad = doctored('bad.sql.gz', text => text.replace('CREATE TABLE `users`', 'CREATE TABL `users`'))
    const { code, output } = await runScript('restore', [bad], on(other))
    expect(code).toBe(1)
    expect(output).toContain('The shop that was there stands as it was')
    expect(output).toMatch(/could not be loaded: .*You have an error in your SQL syntax/)
    expect(await sums(other.sql)).toEqual(before)
    expect(await beside()).toEqual([])
    expect((await runScript('verify-book', [], on(other))).output).toContain('The chain is unbroken')
  })
  it('in which a record was changed leaves the shop that was there, unless it is wanted all the same', async () => {
    const before = await sums(other.sql)
    const forged = doctored('forged.sql.gz', text =>
      text
        .replace('pressed the wrong', 'PRESSED THE WRONG')
        .replace('undone within ten minutes', 'UNDONE within ten minutes'),
    )
    const [{ id }] = (await shop.sql<{ id: number }>(
      'SELECT id FROM events WHERE kind = \'voided\' ORDER BY id LIMIT 1',
    )) as [{ id: number }]
    const refused = await runScript('restore', [forged], on(other))
    expect(refused.code).toBe(1)
    expect(refused.output).toContain(`BROKEN: Record ${id} does not fit its seal`)
    expect(refused.output).toContain('The shop that was there stands as it was')
    expect(await sums(other.sql)).toEqual(before)
    const taken = await runScript('restore', [forged, '--even-broken'], on(other))
    expect(taken.code).toBe(1)
    const [, aside] = /npm run restore (\S+before-restore\S+)/.exec(taken.output)!
    expect(await runScript('verify-book', [], on(other))).toMatchObject({
      code: 1,
      output: expect.stringContaining(`BROKEN: Record ${id} does not fit its seal`),
    })
    expect((await runScript('restore', [aside!], on(other))).code).toBe(0)
    expect((await runScript('verify-book', [], on(other))).output).toContain('The chain is unbroken')
    expect(await sums(other.sql)).toEqual(before)
    expect(await beside()).toEqual([])
    for (const name of readdirSync(resolve('backups')).filter(one => one.startsWith('before-restore-')))
      rmSync(resolve('backups', name))
    await other.drop()
  })
  it('whose rows were changed is told too: the book seals them', async () => {
    const target = await freshDatabase()
    const doctoredHold = doctored('hold.sql.gz', text =>
      text.replace(/(INSERT INTO `places` VALUES\s*\(\d+,')/, '$1Other '),
    )
    const { code, output } = await runScript('restore', [doctoredHold], on(target))
    expect(code).toBe(1)
    expect(output).toMatch(/BROKEN: Row \d+ of places is not what its last record sealed/)
    expect(await target.sql('SELECT id FROM shops')).toEqual([])
    for (const name of readdirSync(resolve('backups')).filter(one => one.startsWith('before-restore-')))
      rmSync(resolve('backups', name))
    await target.drop()
  })
})

/** Columns that 0.3.0's export did not have. */
const LATER: Record<string, string[]> = {
  holds: ['facts'],
  shops: ['lab_always'],
  users: ['totp_secret', 'recovery_hashes'],
  lots: ['finished_at'],
  meat_lots: ['finished_at'],
  ingredient_lots: ['finished_at'],
  runs: ['readings_version'],
}
function leaveOutLater(copy: any): any {
  for (const [table, columns] of Object.entries(LATER))
    for (const row of copy.tables[table] ?? []) for (const column of columns) Reflect.deleteProperty(row, column)
  return copy
}

describe('the whole shop as JSON', () => {
  let exported: any
  it('fits the published JSON Schema, which is that of the tables', async () => {
    await confirm(owner, { password: 'bacon-and-brine' })
    exported = (await owner.get('/api/export/shop')).body
    const published = JSON.parse(readFileSync(SCHEMA_FILE, 'utf8'))
    expect(published).toEqual(JSON.parse(JSON.stringify(exportSchema())))
    const { $schema: _draft, title: _title, description: _words, ...schema } = published
    const read = z.fromJSONSchema(schema).safeParse(exported)
    expect(read.error?.issues.slice(0, 3)).toBeUndefined()
    expect(Object.keys(exported.tables)).not.toContain('sessions')
  })
  it('imported into an empty database is the same shop: exported again it is the same text', async () => {
    const database = await freshDatabase({ ready: false })
    const path = join(folder, 'shop.json')
    writeFileSync(path, JSON.stringify(exported))
    const imported = await runScript('import', [path], on(database))
    expect(imported.code, imported.output).toBe(0)
    const leaveOut = ['sessions', 'sign_in_attempts', 'known_devices', 'calendar_links', 'answers', 'migrations', 'heat_judgements']
    expect(await sums(database.sql, leaveOut)).toEqual(await sums(shop.sql, leaveOut))
    const again = await runScript('import', [path], on(database))
    expect(again).toMatchObject({
      code: 1,
      output: expect.stringContaining('There is a shop in this database already'),
    })
    const out = join(folder, 'again.json')
    expect((await runScript('export', [out], on(database))).code).toBe(0)
    const { exportedAt: _then, ...first } = exported
    const { exportedAt: _now, ...second } = JSON.parse(readFileSync(out, 'utf8'))
    expect(second).toEqual(first)
    await database.drop()
  })
  it('with a record changed, or a row that does not fit, is refused whole', async () => {
    const database = await freshDatabase({ ready: false })
    const path = join(folder, 'bad.json')
    const attempt = async (change: (copy: any) => void) => {
      const copy = structuredClone(exported)
      change(copy)
      writeFileSync(path, JSON.stringify(copy))
      return await runScript('import', [path], on(database))
    }
    expect(
      await attempt((copy) => {
        copy.tables.events[6].typed = '{}'
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('Record 7 does not fit its seal') })
    expect(
      await attempt((copy) => {
        copy.tables.users.push({ ...copy.tables.users[0], id: 99, sign_in: 'backdoor' })
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('Row 99 of users was written by no record') })
    expect(
      await attempt((copy) => {
        copy.tables.pieces[0].green_g = '9999.0000'
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('of pieces is not what its last record sealed') })
    expect(
      await attempt((copy) => {
        copy.tables.events.splice(4, 1)
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('not numbered one after the other') })
    expect(
      await attempt((copy) => {
        copy.tables.ghosts = [{ id: 1 }]
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('there is no such table') })
    expect(
      await attempt((copy) => {
        delete copy.tables.users
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('tables.users') })
    expect(
      await attempt((copy) => {
        copy.tables.events.pop()
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('is not whole') })
    expect(
      await attempt((copy) => {
        copy.tables.lots[0].thickness_mm = 'thick'
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('tables.lots.0.thickness_mm') })
    expect(
      await attempt((copy) => {
        copy.format = 'other'
      }),
    ).toMatchObject({ code: 1, output: expect.stringContaining('not a whole shop') })
    for (const text of ['{"format":', '', 'a letter', JSON.stringify(exported).slice(0, -200)]) {
      writeFileSync(path, text)
      expect((await runScript('import', [path], on(database))).output).toMatch(/is no JSON|not a whole shop/)
    }
    expect(await database.sql('SELECT * FROM shops')).toEqual([])
    await database.drop()
  })
  it('of the first version, from before rows were sealed, is read and sealed as it stands', async () => {
    const database = await freshDatabase({ ready: false })
    const path = join(folder, 'first.json')
    const copy = structuredClone(exported)
    copy.version = 1
    exportAsOnce(copy.tables)
    delete copy.tables.steps
    // Without steps nobody knew how a stack lay.
    for (const piece of copy.tables.pieces) Object.assign(piece, { layer: null, stack_turns: null })
    // A book without digests, each hash as it was made then, and tables without the columns that came later.
    delete copy.tables.event_rows
    leaveOutLater(copy)
    let hash = '0'.repeat(64)
    for (const row of copy.tables.events) {
      hash = createHash('sha256')
        .update(
          JSON.stringify([
            hash,
            row.id,
            row.kind,
            row.user_id,
            row.who,
            row.station,
            Date.parse(row.at),
            row.zone,
            row.arithmetic,
            row.typed,
            row.computed,
            row.reason,
            row.subjects,
            row.voids_id,
            row.clock_behind,
          ]),
        )
        .digest('hex')
      row.hash = hash
    }
    copy.book.hash = copy.tables.book_head[0].hash = hash
    writeFileSync(path, JSON.stringify(copy, null, 2))
    const imported = await runScript('import', [path], on(database))
    expect(imported.code, imported.output).toBe(0)
    const verified = await runScript('verify-book', [], on(database))
    expect(verified).toMatchObject({ code: 0, output: expect.stringMatching(/(\d{3,}) rows held against them/) })
    expect((await database.sql<{ kind: string }>('SELECT kind FROM events ORDER BY id DESC LIMIT 1'))[0]!.kind).toBe(
      'rows_sealed',
    )
    const steps = 'SELECT kind, COUNT(*) AS n FROM steps WHERE voided = 0 AND kind NOT IN (\'move\', \'weigh\', '
      + '\'rest\') GROUP BY kind ORDER BY kind'
    expect(await database.sql(steps)).toEqual(await shop.sql(steps))
    // What is finished is marked as it was, though the file does not say so.
    const finished = 'SELECT code FROM lots WHERE finished_at IS NOT NULL ORDER BY id'
    expect(await database.sql(finished)).toEqual(await shop.sql(finished))
    expect(await database.sql(finished)).not.toEqual([])
    await database.drop()
  })
  it('of the second version, from before things were marked finished, is read and whole', async () => {
    const young = await openTestShop()
    const client = await young.signedIn(OWNER)
    await confirm(client)
    await client.post('/api/fridges/1/readings', { temperature: { typed: '3.1', unit: 'C' } })
    const path = join(folder, 'second.json')
    writeFileSync(path, JSON.stringify(leaveOutLater((await client.get('/api/export/shop')).body)))
    const database = await freshDatabase({ ready: false })
    const imported = await runScript('import', [path], on(database))
    expect(imported.code, imported.output).toBe(0)
    expect(await runScript('verify-book', [], on(database))).toMatchObject({ code: 0 })
    await database.drop()
    await young.close()
  })
  it.each([4, 5])('of version %i, from before a lot counted its contradictions, is read and whole', async (version) => {
    const database = await freshDatabase({ ready: false })
    const path = join(folder, `version-${version}.json`)
    const copy = { ...structuredClone(exported), version }
    for (const lot of copy.tables.lots) delete lot.contradictions
    writeFileSync(path, JSON.stringify(copy))
    const imported = await runScript('import', [path], on(database))
    expect(imported.code, imported.output).toBe(0)
    expect(await runScript('verify-book', [], on(database))).toMatchObject({ code: 0 })
    await database.drop()
  })
  it('of the second version, as 0.4.0 wrote it, gets its steps and stands whole', async () => {
    const database = await freshDatabase({ ready: false })
    const path = join(folder, 'written-by-0.4.0.json')
    writeFileSync(path, gunzipSync(readFileSync(OLD_EXPORT)))
    const imported = await runScript('import', [path], on(database))
    expect(imported.code, imported.output).toBe(0)
    expect(await runScript('verify-book', [], on(database))).toMatchObject({ code: 0 })
    const [turns] = await database.sql('SELECT COUNT(*) AS n FROM turns WHERE voided = 0')
    expect(await database.sql('SELECT COUNT(*) AS n FROM steps WHERE kind = \'turn\'')).toEqual([turns])
    expect(await database.sql('SELECT id FROM pieces WHERE stage IS NULL AND voided = 0')).toEqual([])
    await database.drop()
  })
  it('is for the owner alone', async () => {
    for (const signIn of ['tam', 'quill'])
      expect(
        (await (await shop.signedIn({ signIn, password: 'bacon-and-brine' })).get('/api/export/shop')).status,
      ).toBe(403)
  })
})

describe('each table as CSV', () => {
  it('has every row, for an inspector too, and nothing that opens a door', async () => {
    const inspector = await shop.signedIn({ signIn: 'quill', password: 'bacon-and-brine' })
    const { tables } = (await inspector.get('/api/office/tables')).body
    expect(tables.length).toBeGreaterThan(25)
    for (const table of tables as string[]) {
      const reply = await inspector.get(`/api/export/csv/${table}`)
      expect(reply.status, table).toBe(200)
      const { data, errors } = Papa.parse<string[]>(reply.body.trimEnd())
      expect(errors, table).toEqual([])
      expect(data.length - 1, table).toBe(
        Number((await shop.sql<{ n: unknown }>(`SELECT COUNT(*) n FROM \`${table}\``))[0]!.n),
      )
      expect(
        data[0]!.some(name => /hash$/.test(name) && name !== 'hash'),
        table,
      ).toBe(false)
    }
    expect((await inspector.get('/api/export/csv/sessions')).status).toBe(404)
    expect((await inspector.get('/api/export/csv/lots%60%20--')).status).toBe(404)
  })
  it('does not run as a formula in a spreadsheet, and keeps figures figures', async () => {
    await owner.post('/api/parties', {
      kind: 'customer',
      name: '=HYPERLINK("http://elsewhere.example")',
      contact: '+1 555',
      approval: '-x',
      note: '@SUM(A1)',
    })
    const { data } = Papa.parse<Record<string, string>>((await owner.get('/api/export/csv/parties')).body, {
      header: true,
      skipEmptyLines: true,
    })
    expect(data.at(-1)).toMatchObject({
      name: '\'=HYPERLINK("http://elsewhere.example")',
      contact: '\'+1 555',
      approval: '\'-x',
      note: '\'@SUM(A1)',
    })
    const checks = Papa.parse<Record<string, string>>((await owner.get('/api/export/csv/instrument_checks')).body, {
      header: true,
    }).data
    expect(checks.some(check => check.read_value === '-0.2000')).toBe(true)
  })
  it('runs nothing in a program that splits at semicolons either, nor behind full-width signs', async () => {
    await owner.post('/api/parties', {
      kind: 'customer',
      name: 'x;=HYPERLINK("http://elsewhere.example")',
      contact: 'a; +1',
      approval: '＝1+1',
      note: 'one\n;@SUM(A1)',
    })
    const text = (await owner.get('/api/export/csv/parties')).body as string
    const cells = text
      .trimEnd()
      .split(/\r\n/)
      .at(-1)!
      .split(/[;,]/)
      .map(cell => cell.replace(/^[\s"]+/, ''))
    expect(cells.filter(cell => /^[=+@＝]/.test(cell))).toEqual([])
    expect(text).toContain('x;\'=HYPERLINK')
  })
})

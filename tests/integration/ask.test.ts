import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Sequelize } from 'sequelize'
import { ask } from '../../server/db/line/ask'
import { connect } from '../../server/db/line/connect'
import { freshDatabase, type FreshDatabase } from '../support/database'

let database: FreshDatabase
let pages: Sequelize
beforeAll(async () => {
  database = await freshDatabase({ ready: false })
  pages = connect(database.adminUrl, 2, { impatient: true })
})
afterAll(async () => {
  await pages.close()
  await database.drop()
})
const onLine = (n: number) => ask<{ line: bigint; n: bigint }>(pages, `SELECT CONNECTION_ID() AS line, ${n} AS n`)

describe('questions outside any transaction', () => {
  it('asked at one moment share lines, four on each, and each has its own answer', async () => {
    const rows = (await Promise.all(Array.from({ length: 40 }, (_, n) => onLine(n)))).flat()
    expect(rows.map(row => Number(row.n))).toEqual(Array.from({ length: 40 }, (_, n) => n))
    // Of the pool's two lines; a new one may take its time to open.
    expect(new Set(rows.map(row => row.line)).size).toBeLessThanOrEqual(2)
    for (let from = 0; from < rows.length; from += 4)
      expect(new Set(rows.slice(from, from + 4).map(row => row.line)).size).toBe(1)
  })
  it('one that fails fails alone', async () => {
    const [one, odd, other] = await Promise.allSettled([onLine(1), ask(pages, 'SELECT nothing'), onLine(2)])
    expect(one).toMatchObject({ status: 'fulfilled' })
    expect(odd).toMatchObject({ status: 'rejected', reason: { name: 'SequelizeDatabaseError', sql: 'SELECT nothing' } })
    expect(other).toMatchObject({ status: 'fulfilled' })
  })
  it('a line that is cut fails those that went along, and the next have lines again', async () => {
    const cut = await Promise.allSettled([ask(pages, 'SELECT SLEEP(5)'), onLine(3), (async () => {
      await new Promise(done => setTimeout(done, 300))
      const [asleep] = await database.sql<{ id: number }>('SELECT id FROM information_schema.processlist WHERE info = \'SELECT SLEEP(5)\'')
      await database.sql(`KILL ${asleep!.id}`)
    })()])
    expect(cut.map(one => one.status)).toEqual(['rejected', 'rejected', 'fulfilled'])
    // The pool has two lines: none of them stays taken.
    for (let round = 0; round < 4; round++) {
      const rows = await Promise.all(Array.from({ length: 12 }, (_, n) => onLine(n)))
      expect(rows.flat()).toHaveLength(12)
    }
  })
  it('with no database answers that it is not there', async () => {
    const away = connect('mariadb://nobody:x@127.0.0.1:1/none', 2, { impatient: true })
    const asked = await Promise.allSettled([ask(away, 'SELECT 1'), ask(away, 'SELECT 2')])
    for (const one of asked)
      expect(one).toMatchObject({ status: 'rejected', reason: { name: expect.stringMatching(/^Sequelize\w*Connection\w*Error$/) } })
    await away.close()
  })
})

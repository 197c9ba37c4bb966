import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { Sequelize } from 'sequelize'
import { ask, type Held } from '../../server/db/line/ask'
import { connect } from '../../server/db/line/connect'
import { isThrownBack } from '../../server/db/database'
import { onWriteLine } from '../../server/db/line/write-line'
import { freshDatabase, type FreshDatabase } from '../support/database'

let database: FreshDatabase
let writes: Sequelize

beforeAll(async () => {
  database = await freshDatabase({ ready: false })
  await database.sql('CREATE TABLE hooks (id INT PRIMARY KEY, holds INT NOT NULL DEFAULT 0) ENGINE = InnoDB')
  writes = connect(database.adminUrl, 2, { impatient: true, writes: true })
})
beforeEach(async () => {
  await database.sql('DELETE FROM hooks')
  await database.sql('INSERT INTO hooks (id) VALUES (1), (2)')
})
afterAll(async () => {
  await writes.close()
  await database.drop()
})
const ids = async () => (await database.sql<{ id: number }>('SELECT id FROM hooks ORDER BY id')).map(row => row.id)

describe('a write on its own line', () => {
  it('stands whole once it ended well, and is seen by nobody before', async () => {
    const seen = await onWriteLine(writes, async (line) => {
      await Promise.all([
        ask(writes, 'INSERT INTO hooks (id) VALUES (3)', line),
        ask(writes, 'UPDATE hooks SET holds = 7 WHERE id = 3', line),
      ])
      return await ids()
    })
    expect(seen).toEqual([1, 2])
    expect(await database.sql('SELECT id, holds FROM hooks WHERE id = 3')).toEqual([{ id: 3, holds: 7 }])
  })

  it('is taken back whole when it fails, and its line is clean for the next', async () => {
    for (let n = 0; n < 3; n++) {
      const failed = onWriteLine(writes, async (line) => {
        await ask(writes, 'INSERT INTO hooks (id) VALUES (4)', line)
        throw new Error('refused')
      })
      await expect(failed).rejects.toThrow('refused')
    }
    expect(await ids()).toEqual([1, 2])
    await onWriteLine(writes, line => ask(writes, 'INSERT INTO hooks (id) VALUES (5)', line))
    expect(await ids()).toEqual([1, 2, 5])
  })

  /** Two writes that wait for each other: one of them falls at its second row, and goes on as told. */
  async function inRing(goOn: (line: Held, mine: number, second: () => Promise<unknown>) => Promise<unknown>) {
    let both = () => {}
    const bothHold = new Promise<void>(done => (both = done))
    let holding = 0
    const write = (mine: number, theirs: number) =>
      onWriteLine(writes, async (line) => {
        await ask(writes, `UPDATE hooks SET holds = 1 WHERE id = ${mine}`, line)
        if ((holding += 1) === 2) both()
        await bothHold
        await goOn(line, mine, () => ask(writes, `UPDATE hooks SET holds = 1 WHERE id = ${theirs}`, line))
        return mine
      })
    const ended = await Promise.allSettled([write(1, 2), write(2, 1)])
    const [won] = ended.flatMap(one => (one.status === 'fulfilled' ? [one.value] : []))
    const lost = ended.flatMap(one => (one.status === 'rejected' ? [one.reason as unknown] : []))
    expect(lost).toHaveLength(1)
    expect(isThrownBack(lost[0])).toBe(true)
    return won!
  }
  const hang = (id: number, line: Held) => ask(writes, `INSERT INTO hooks (id) VALUES (${id})`, line)

  it('thrown back by a deadlock, it leaves nothing of what was sent behind the statement that fell', async () => {
    const won = await inRing((line, mine, second) =>
      Promise.all([second(), hang(10 + mine, line), hang(20 + mine, line)]))
    expect(await ids()).toEqual([1, 2, 10 + won, 20 + won])
  })

  it('and keeps nothing that was done after it, even where somebody caught the error', async () => {
    const won = await inRing(async (line, mine, second) => {
      const fell = await second().then(() => false, () => true)
      await hang(10 + mine, line).catch((error: unknown) => {
        if (!fell) throw error
      })
    })
    expect(await ids()).toEqual([1, 2, 10 + won])
  })

  it('takes no statement after its end, whoever sends it late', async () => {
    let late = (): Promise<unknown> => Promise.reject(new Error('never held'))
    await onWriteLine(writes, async (line) => {
      late = () => ask(writes, 'INSERT INTO hooks (id) VALUES (6)', line)
    })
    await expect(late()).rejects.toThrow('after its transaction had ended')
    expect(await ids()).toEqual([1, 2])
  })

  it('whose line is cut leaves nothing, says so, and the next has a line of its own', async () => {
    const cut = onWriteLine(writes, async (line) => {
      const [{ own }] = await ask<{ own: bigint }>(writes, 'SELECT CONNECTION_ID() AS own', line) as [{ own: bigint }]
      await ask(writes, 'INSERT INTO hooks (id) VALUES (7)', line)
      await database.sql(`KILL ${own}`)
      await ask(writes, 'INSERT INTO hooks (id) VALUES (8)', line)
    })
    await expect(cut).rejects.toMatchObject({ name: 'SequelizeDatabaseError' })
    for (const id of [31, 32, 33]) await onWriteLine(writes, line => ask(writes, `INSERT INTO hooks (id) VALUES (${id})`, line))
    expect(await ids()).toEqual([1, 2, 31, 32, 33])
  })

  it('fails with Sequelize\'s errors, and the statement that failed', async () => {
    const twice = onWriteLine(writes, line => ask(writes, 'INSERT INTO hooks (id) VALUES (1)', line))
    await expect(twice).rejects.toMatchObject({
      name: 'SequelizeUniqueConstraintError',
      fields: { PRIMARY: '1' },
      sql: 'INSERT INTO hooks (id) VALUES (1)',
    })
  })
})

import { randomBytes } from 'node:crypto'
import * as mariadb from 'mariadb'
import { loadFrom } from '../../scripts/lib/dump.mjs'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { setting } from './setting'
import { template } from './templates'

export interface FreshDatabase {
  /** As the application reaches it. */
  url: string
  /** As the one who owns it does. */
  adminUrl: string
  sql: <T = Record<string, unknown>>(text: string, values?: unknown[]) => Promise<T[]>
  drop: () => Promise<void>
}

/** An empty shop's database, its schema ready, from which every other is copied: all migrations take seconds. */
export const emptyShop = () =>
  template('empty', async () => {
    const { adminUrl, drop } = await newDatabase({ ready: true, dump: '' })
    return { adminUrl, known: {}, close: drop }
  })

/** A database of its own on the throwaway server, its schema ready unless told otherwise, or what a dump holds. */
export const freshDatabase = async ({ ready = true, dump = '' } = {}): Promise<FreshDatabase> =>
  newDatabase({ ready, dump: ready && !dump ? (await emptyShop()).dump : dump })

async function newDatabase({ ready, dump }: { ready: boolean; dump: string }): Promise<FreshDatabase> {
  const [url, adminUrl] = [new URL(setting('TEST_DATABASE_URL')), new URL(setting('TEST_ADMIN_URL'))]
  const name = `veldmoor_${randomBytes(6).toString('hex')}`
  const admin = await mariadb.createConnection({
    host: url.hostname,
    port: Number(url.port),
    user: adminUrl.username,
    password: adminUrl.password,
    bigIntAsNumber: true,
  })
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`)
  await admin.query(`USE ${name}`)
  url.pathname = adminUrl.pathname = `/${name}`
  if (dump) await loadFrom(adminUrl.toString(), dump)
  if (ready) await prepareDatabase({ admin: adminUrl.toString(), app: url.toString() })
  return {
    url: url.toString(),
    adminUrl: adminUrl.toString(),
    sql: <T>(text: string, values: unknown[] = []) => admin.query(text, values) as Promise<T[]>,
    drop: async () => {
      await admin.query(`DROP DATABASE ${name}`)
      await admin.end()
    },
  }
}

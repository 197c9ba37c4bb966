import { randomBytes } from 'node:crypto'
import * as mariadb from 'mariadb'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { Client } from './client'

const setting = (name: string): string => {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set: run the tests with "npm test"`)
  return value
}

export const OWNER = { signIn: 'ada', password: 'a long password' }
export const MAKER = { signIn: 'ben', password: 'another password' }
export const INSPECTOR = { signIn: 'cyd', password: 'reading only here' }

export interface TestShop {
  address: string
  databaseUrl: string
  client: () => Client
  signedIn: (who: { signIn: string, password: string }) => Promise<Client>
  sql: <T = Record<string, unknown>>(text: string, values?: unknown[]) => Promise<T[]>
  close: () => Promise<void>
}

/** A shop of its own: a fresh database on the throwaway server, and the built application on a free port. */
export async function openTestShop({ demo = false, setUp = true } = {}): Promise<TestShop> {
  const base = new URL(setting('TEST_DATABASE_URL'))
  const name = `veldmoor_${randomBytes(6).toString('hex')}`
  const admin = await mariadb.createConnection({ host: base.hostname, port: Number(base.port), user: base.username, password: base.password, bigIntAsNumber: true })
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`)
  await admin.query(`USE ${name}`)
  const url = new URL(base)
  url.pathname = `/${name}`
  const app = await startApp({ entry: setting('TEST_APP_ENTRY'), port: await freePort(), databaseUrl: url.toString(), sessionSecret: randomBytes(32).toString('hex'), demo })
  const client = () => new Client(app.address)
  const signedIn = async (who: { signIn: string, password: string }) => {
    const one = client()
    const reply = await one.post('/api/session', who)
    if (reply.status !== 200) throw new Error(`sign-in of ${who.signIn}: ${reply.status} ${JSON.stringify(reply.body)}`)
    return one
  }
  if (setUp && !demo) {
    const owner = client()
    await owner.post('/api/setup', { shopName: 'Test shed', zone: 'America/Chicago', owner: { name: 'Ada Test', initials: 'AT', ...OWNER } })
    for (const [person, role] of [[MAKER, 'maker'], [INSPECTOR, 'inspector']] as const) {
      await owner.post('/api/office/people', { name: `${role} person`, initials: role[0]!.toUpperCase(), role, ...person })
    }
  }
  return {
    address: app.address, databaseUrl: url.toString(), client, signedIn,
    sql: <T>(text: string, values: unknown[] = []) => admin.query(text, values) as Promise<T[]>,
    close: async () => {
      await app.stop()
      await admin.query(`DROP DATABASE ${name}`)
      await admin.end()
    },
  }
}

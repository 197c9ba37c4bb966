import { randomBytes } from 'node:crypto'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { Client } from './client'
import { freshDatabase, setting, type FreshDatabase } from './database'

export const OWNER = { signIn: 'ada', password: 'a long password' }
export const MAKER = { signIn: 'ben', password: 'another password' }
export const INSPECTOR = { signIn: 'cyd', password: 'reading only here' }

export interface TestShop {
  address: string
  pid: number | undefined
  databaseUrl: string
  adminUrl: string
  client: () => Client
  signedIn: (who: { signIn: string, password: string }) => Promise<Client>
  sql: FreshDatabase['sql']
  /** One more process on the same database, with the same secret. */
  another: (env?: Record<string, string>) => Promise<{ address: string, pid: number | undefined, stop: () => Promise<void> }>
  close: () => Promise<void>
}

/** A shop of its own: a fresh database on the throwaway server, and the built application on a free port. */
export async function openTestShop({ demo = false, setUp = true } = {}): Promise<TestShop> {
  const database = await freshDatabase()
  const sessionSecret = randomBytes(32).toString('hex')
  const start = async (env: Record<string, string> = {}) => startApp({ entry: setting('TEST_APP_ENTRY'), port: await freePort(), databaseUrl: database.url, sessionSecret, demo, env })
  const app = await start()
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
    address: app.address, pid: app.pid, databaseUrl: database.url, adminUrl: database.adminUrl, client, signedIn,
    sql: database.sql,
    another: start,
    close: async () => {
      await app.stop()
      await database.drop()
    },
  }
}

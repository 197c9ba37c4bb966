import { randomBytes } from 'node:crypto'
import { localDay } from '#core/calendar/local-day'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { Client } from './client'
import { freshDatabase, setting, type FreshDatabase } from './database'

export const OWNER = { signIn: 'ada', password: 'a long password' }
export const MAKER = { signIn: 'ben', password: 'another password' }
export const INSPECTOR = { signIn: 'cyd', password: 'reading only here' }

/** Where the test shops lie: their day is not UTC's from six in the evening on. */
export const ZONE = 'America/Chicago'
/** The day on the shop's clock: meat that was rubbed in a test is packed and sent on no other. */
export const today = (): string => localDay(Date.now(), ZONE)
/** What the start command printed, and the first visit with it. */
export const SETUP_CODE = 'TEST-CODE'
export const setUp = (more: Record<string, unknown> = {}) => ({
  code: SETUP_CODE,
  shopName: 'Test shed',
  zone: ZONE,
  ruleSetId: 'us',
  notation: { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' },
  owner: { name: 'Ada Test', initials: 'AT', ...OWNER },
  ...more,
})
/** The person at the device gives the password again: what changes who may open the door wants it. */
export const confirm = (client: Client, who: { password: string } = OWNER) =>
  client.post('/api/me/confirm', { password: who.password })

export interface TestShop {
  address: string
  pid: number | undefined
  databaseUrl: string
  adminUrl: string
  client: () => Client
  signedIn: (who: { signIn: string; password: string }) => Promise<Client>
  sql: FreshDatabase['sql']
  /** One more process on the same database, with the same secret. */
  another: (
    env?: Record<string, string>,
  ) => Promise<{ address: string; pid: number | undefined; stop: () => Promise<void> }>
  close: () => Promise<void>
}

/** A shop of its own: a fresh database on the throwaway server, and the built application on a free port. */
export async function openTestShop({
  demo = false,
  opened = true,
  env: given = {} as Record<string, string>,
} = {}): Promise<TestShop> {
  const database = await freshDatabase()
  const sessionSecret = randomBytes(32).toString('hex')
  const start = async (env: Record<string, string> = {}) =>
    startApp({
      entry: setting('TEST_APP_ENTRY'),
      port: await freePort(),
      databaseUrl: database.url,
      sessionSecret,
      demo,
      env: { SETUP_CODE, LOCKS_CHECKED: '1', ...given, ...env },
    })
  const app = await start()
  const client = () => new Client(app.address)
  const signedIn = async (who: { signIn: string; password: string }) => {
    const one = client()
    const reply = await one.post('/api/session', who)
    if (reply.status !== 200) throw new Error(`sign-in of ${who.signIn}: ${reply.status} ${JSON.stringify(reply.body)}`)
    return one
  }
  if (opened && !demo) {
    const owner = client()
    const made = await owner.post('/api/setup', setUp())
    if (made.status !== 200) throw new Error(JSON.stringify(made.body))
    for (const [person, role] of [
      [MAKER, 'maker'],
      [INSPECTOR, 'inspector'],
    ] as const) {
      await owner.post('/api/office/people', {
        name: `${role} person`,
        initials: role[0]!.toUpperCase(),
        role,
        ...person,
      })
    }
  }
  return {
    address: app.address,
    pid: app.pid,
    databaseUrl: database.url,
    adminUrl: database.adminUrl,
    client,
    signedIn,
    sql: database.sql,
    another: start,
    close: async () => {
      await app.stop()
      await database.drop()
    },
  }
}

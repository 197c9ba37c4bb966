import { randomBytes } from 'node:crypto'
import { localDay } from '#core/calendar/local-day'
import { startApp } from '../../scripts/lib/app-server.mjs'
import { freePort } from '../../scripts/lib/processes.mjs'
import { Client } from './client'
import { freshDatabase, type FreshDatabase } from './database'
import { setting } from './setting'
import { template } from './templates'

type Person = { signIn: string; password: string }
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
  /** In by a session that was kept, or by the password. */
  signedIn: (who: Person) => Promise<Client>
  sql: FreshDatabase['sql']
  /** One more process on the same database, with the same secret. */
  another: (
    env?: Record<string, string>,
  ) => Promise<{ address: string; pid: number | undefined; stop: () => Promise<void> }>
  close: () => Promise<void>
}

/** Signs in at an application; fails where that is refused. */
async function signIn(address: string, who: Person): Promise<Client> {
  const one = new Client(address)
  const reply = await one.post('/api/session', who)
  if (reply.status !== 200) throw new Error(`sign-in of ${who.signIn}: ${reply.status} ${JSON.stringify(reply.body)}`)
  return one
}

type Cookies = Record<string, string[]>
/** So many come in without a password, the next by theirs: hashing it costs most of a second. */
const COOKIES = [[OWNER, 4], [MAKER, 3], [INSPECTOR, 1]] as const

/** The opened shop with its owner, a maker and an inspector, from which every other is copied. */
const openedShop = () =>
  template('opened', async () => {
    const sessionSecret = randomBytes(32).toString('hex')
    const shop = await startShop(await freshDatabase(), { sessionSecret })
    const owner = shop.client()
    const made = await owner.post('/api/setup', setUp())
    if (made.status !== 200) throw new Error(JSON.stringify(made.body))
    for (const [person, role] of [[MAKER, 'maker'], [INSPECTOR, 'inspector']] as const) {
      const added = await owner.post('/api/office/people', {
        name: `${role} person`,
        initials: role[0]!.toUpperCase(),
        role,
        ...person,
      })
      if (added.status !== 200) throw new Error(JSON.stringify(added.body))
    }
    const cookies: Cookies = {}
    for (const [who, times] of COOKIES)
      for (let n = 0; n < times; n++)
        (cookies[who.signIn] ??= []).push((await signIn(shop.address, who)).cookie)
    return { adminUrl: shop.adminUrl, known: { sessionSecret, cookies }, close: shop.close }
  })

/** The demo shop, from which every other is copied. */
const demoShop = () =>
  template('demo', async () => {
    const shop = await startShop(await freshDatabase(), { sessionSecret: randomBytes(32).toString('hex'), demo: true })
    return { adminUrl: shop.adminUrl, known: {}, close: shop.close }
  })

interface Started {
  sessionSecret: string
  cookies?: Cookies
  demo?: boolean
  env?: Record<string, string>
}

/** The built application on a free port, over that database. */
async function startShop(
  database: FreshDatabase,
  { sessionSecret, cookies = {}, demo = false, env: given = {} }: Started,
): Promise<TestShop> {
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
  return {
    address: app.address,
    pid: app.pid,
    databaseUrl: database.url,
    adminUrl: database.adminUrl,
    client,
    signedIn: async (who) => {
      const cookie = cookies[who.signIn]?.shift()
      if (cookie === undefined) return signIn(app.address, who)
      const one = client()
      one.cookie = cookie
      return one
    },
    sql: database.sql,
    another: start,
    close: async () => {
      await app.stop()
      await database.drop()
    },
  }
}

/**
 * A shop of its own: a fresh database on the throwaway server, and the built application on a free port. It is open, with
 * its people in it, unless told otherwise. `kept` false: for tests of sign-ins, clocks and cookies; its secret is its own,
 * and everybody comes in by the password.
 */
export async function openTestShop({
  demo = false,
  opened = true,
  kept = true,
  env = {} as Record<string, string>,
} = {}): Promise<TestShop> {
  const sessionSecret = randomBytes(32).toString('hex')
  if (demo) return startShop(await freshDatabase({ dump: (await demoShop()).dump }), { sessionSecret, demo, env })
  if (!opened) return startShop(await freshDatabase(), { sessionSecret, env })
  const { dump, known } = await openedShop()
  return startShop(await freshDatabase({ dump }), { ...(kept ? known : { sessionSecret }), env })
}

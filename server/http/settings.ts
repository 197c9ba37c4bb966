/** What the process was told, read once. `.env.example` lists every setting. */
export interface Settings {
  databaseUrl: string
  sessionSecret: string
  demo: boolean
  poolSize: number
  secureCookies: boolean
  proxies: number
  /**
   * Where people's browsers reach the pages, "https://shop.example"; null: on this computer alone, by its loopback
   * names.
   */
  publicOrigin: string | null
  /** What a first visit has to know; null: no shop can be opened. */
  setupCode: string | null
  /** Where the data lie, for looking how much room is left; null: somewhere else. */
  dataFolder: string | null
  /** A setting for tests: a transaction that locks rows out of order fails. */
  locksChecked: boolean
}

const SHORTEST_SECRET = 32
const MOST_PROXIES = 9

function originOf(given: string | undefined): string | null {
  if (!given) return null
  const url = URL.canParse(given) ? new URL(given) : null
  if (!url || !/^https?:$/.test(url.protocol) || url.origin !== given.replace(/\/$/, ''))
    throw new Error('PUBLIC_ORIGIN must be an address like https://shop.example, without a path')
  return url.origin
}

export function readSettings(env: NodeJS.ProcessEnv = process.env): Settings {
  const databaseUrl = env.DATABASE_URL
  if (!databaseUrl) throw new Error('DATABASE_URL is not set: start with "npm start" or "npm run demo"')
  const sessionSecret = env.SESSION_SECRET ?? ''
  if (sessionSecret.length < SHORTEST_SECRET)
    throw new Error(`SESSION_SECRET needs ${SHORTEST_SECRET} characters or more`)
  const proxies = Number(env.PROXIES || 0)
  if (!Number.isInteger(proxies) || proxies < 0 || proxies > MOST_PROXIES)
    throw new Error(`PROXIES must be a whole number from 0 to ${MOST_PROXIES}`)
  const [publicOrigin, secureCookies] = [originOf(env.PUBLIC_ORIGIN), env.SECURE_COOKIES === '1']
  if (secureCookies && !publicOrigin?.startsWith('https:'))
    throw new Error(
      'SECURE_COOKIES=1 goes with PUBLIC_ORIGIN=https://…: the address under which browsers reach the pages',
    )
  return {
    databaseUrl,
    sessionSecret,
    demo: env.VELDMOOR_DEMO === '1',
    poolSize: Number(env.DATABASE_POOL || 4),
    secureCookies,
    proxies,
    publicOrigin,
    setupCode: env.SETUP_CODE || null,
    dataFolder: env.DATA_FOLDER || null,
    locksChecked: env.LOCKS_CHECKED === '1',
  }
}

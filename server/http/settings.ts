/** What the process was told, read once. `.env.example` lists every setting. */
export interface Settings { databaseUrl: string, sessionSecret: string, demo: boolean, poolSize: number, secureCookies: boolean, proxies: number }

const SHORTEST_SECRET = 32
const MOST_PROXIES = 9

export function readSettings(env: NodeJS.ProcessEnv = process.env): Settings {
  const databaseUrl = env.DATABASE_URL
  if (!databaseUrl) throw new Error('DATABASE_URL is not set: start with "npm start" or "npm run demo"')
  const sessionSecret = env.SESSION_SECRET ?? ''
  if (sessionSecret.length < SHORTEST_SECRET) throw new Error(`SESSION_SECRET needs ${SHORTEST_SECRET} characters or more`)
  const proxies = Number(env.PROXIES || 0)
  if (!Number.isInteger(proxies) || proxies < 0 || proxies > MOST_PROXIES) throw new Error(`PROXIES must be a whole number from 0 to ${MOST_PROXIES}`)
  return {
    databaseUrl, sessionSecret, demo: env.VELDMOOR_DEMO === '1',
    poolSize: Number(env.DATABASE_POOL || 4), secureCookies: env.SECURE_COOKIES === '1', proxies,
  }
}

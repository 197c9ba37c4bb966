/** What the process was told, read once. `.env.example` lists every setting. */
export interface Settings { databaseUrl: string, sessionSecret: string, demo: boolean, poolSize: number, secureCookies: boolean }

const SHORTEST_SECRET = 32

export function readSettings(env: NodeJS.ProcessEnv = process.env): Settings {
  const databaseUrl = env.DATABASE_URL
  if (!databaseUrl) throw new Error('DATABASE_URL is not set: start with "npm start" or "npm run demo"')
  const sessionSecret = env.SESSION_SECRET ?? ''
  if (sessionSecret.length < SHORTEST_SECRET) throw new Error(`SESSION_SECRET needs ${SHORTEST_SECRET} characters or more`)
  return {
    databaseUrl, sessionSecret, demo: env.VELDMOOR_DEMO === '1',
    poolSize: Number(env.DATABASE_POOL || 8), secureCookies: env.SECURE_COOKIES === '1',
  }
}

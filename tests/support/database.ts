import { randomBytes } from 'node:crypto'
import * as mariadb from 'mariadb'

export interface FreshDatabase {
  url: string
  sql: <T = Record<string, unknown>>(text: string, values?: unknown[]) => Promise<T[]>
  drop: () => Promise<void>
}

export const setting = (name: string): string => {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set: run the tests with "npm test"`)
  return value
}

/** An empty database of its own on the throwaway server. */
export async function freshDatabase(): Promise<FreshDatabase> {
  const url = new URL(setting('TEST_DATABASE_URL'))
  const name = `veldmoor_${randomBytes(6).toString('hex')}`
  const admin = await mariadb.createConnection({ host: url.hostname, port: Number(url.port), user: url.username, password: url.password, bigIntAsNumber: true })
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`)
  await admin.query(`USE ${name}`)
  url.pathname = `/${name}`
  return {
    url: url.toString(),
    sql: <T>(text: string, values: unknown[] = []) => admin.query(text, values) as Promise<T[]>,
    drop: async () => {
      await admin.query(`DROP DATABASE ${name}`)
      await admin.end()
    },
  }
}

import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { freshDatabase, type FreshDatabase } from './database'

/** A database as a back-up of an earlier version holds it, its schema as it was then. `file` lies in `tests/fixtures`. */
export async function databaseFrom(file: string): Promise<FreshDatabase> {
  const dump = gunzipSync(readFileSync(resolve(import.meta.dirname, '../fixtures', file))).toString()
  const database = await freshDatabase({ ready: false })
  await database.sql('SET foreign_key_checks = 0')
  for (const sql of dump.split(/;\n/)) if (sql.trim() !== '') await database.sql(sql)
  await database.sql('SET foreign_key_checks = 1')
  return database
}

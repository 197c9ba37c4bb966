import { createHash } from 'node:crypto'
import { existsSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { dumpTo } from '../../scripts/lib/dump.mjs'
import { setting } from './setting'

/** Sessions end when nobody comes for two hours: in a run that is repeated on one folder they are made anew. */
const LASTS_MS = 30 * 60_000

/** A database made once in a run of tests, which others are copies of, and what must be known about it. */
export interface Template<T> {
  dump: string
  known: T
}

/**
 * The template of that name, made by `make` when there is none of this build. `make` answers with the database to copy
 * and what must be known about it. Two lanes of a run may both make it; the later one lies there.
 */
export async function template<T>(
  name: string,
  make: () => Promise<{ adminUrl: string; known: T; close: () => Promise<void> }>,
): Promise<Template<T>> {
  const build = createHash('sha256').update(setting('TEST_APP_ENTRY')).digest('hex').slice(0, 12)
  const path = join(setting('REPORTS'), `${name}-${build}`)
  const facts = `${path}.json`
  if (existsSync(facts) && Date.now() - statSync(facts).mtimeMs < LASTS_MS)
    return JSON.parse(readFileSync(facts, 'utf8')) as Template<T>
  const dump = `${path}-${process.pid}-${Date.now()}.sql.gz`
  const made = await make()
  await dumpTo(made.adminUrl, dump)
  await made.close()
  const done: Template<T> = { dump, known: made.known }
  writeFileSync(`${facts}.${process.pid}`, JSON.stringify(done))
  renameSync(`${facts}.${process.pid}`, facts)
  return done
}

import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { dropTables, withDatabase } from './lib/database.mjs'
import { checkDump, dumpTo, loadFrom } from './lib/dump.mjs'
import { ensureMariadbDump } from './lib/packages.mjs'
import { at } from './lib/paths.mjs'
import { prepare } from './lib/prepare.mjs'
import { Advice, main, step } from './lib/steps.mjs'
import { walkBook } from './lib/walk-book.mjs'

/** `npm run restore FILE`: what is there is put aside first, then the back-up takes its place and the whole chain is walked. */
await main(async () => {
  const argv = process.argv.slice(2)
  const named = argv.find(arg => !arg.startsWith('--'))
  if (!named) throw new Advice('Name the back-up: npm run restore backups/veldmoor-….sql.gz')
  const path = resolve(named)
  if (!existsSync(path)) throw new Advice(`There is no file ${path}. Nothing was changed.`)
  await step('MariaDB client', ensureMariadbDump)
  await step('the file', () => checkDump(path).then(() => 'whole'))
  await withDatabase(argv, async (urls) => {
    const aside = join(at('backups'), `before-restore-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.sql.gz`)
    await step('what is there, aside', () => dumpTo(urls.adminUrl, aside))
    await step('empty', () => dropTables(urls.adminUrl))
    await step('back-up loaded', () => loadFrom(urls.adminUrl, path))
    await step('schema and rights', () => prepare(urls))
    const { broken, end } = await step('the book', () => walkBook(urls.adminUrl))
    console.log(`\n  What was there before is in ${aside}`)
    if (broken) {
      console.error(`  BROKEN: record ${broken.id} of the restored book is not what it was. Every record before it is sound.\n  To go back: npm run restore ${aside}`)
      process.exitCode = 1
    }
    else {
      console.log(`  Restored. Book unbroken up to record ${end.id}, hash ${end.hash}`)
    }
  }, { resting: true, create: true })
})

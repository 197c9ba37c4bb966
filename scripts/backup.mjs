import { join } from 'node:path'
import { withDatabase } from './lib/database.mjs'
import { dumpTo } from './lib/dump.mjs'
import { ensureMariadbDump } from './lib/packages.mjs'
import { at } from './lib/paths.mjs'
import { main, step } from './lib/steps.mjs'
import { tellFindings, walkBook } from './lib/walk-book.mjs'

/** `npm run backup [FILE]`: the whole database in one compressed file, and the seal of the book to note beside it. */
await main(() =>
  withDatabase(process.argv.slice(2), async ({ adminUrl }) => {
    const named = process.argv.slice(2).find(arg => !arg.startsWith('--'))
    const path
      = named ?? join(at('backups'), `veldmoor-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.sql.gz`)
    await step('MariaDB client', ensureMariadbDump)
    const check = await step('the book', () => walkBook(adminUrl))
    const file = await step('back-up', () => dumpTo(adminUrl, path))
    console.log(`\n  ${path}\n  ${file.bytes} bytes, SHA-256 ${file.sha256}`)
    if (check.broken) {
      await tellFindings(check)
      console.log('  The back-up holds the shop as it is now; keep older ones.')
    }
    else {
      console.log(
        `  Book unbroken up to record ${check.end.id}. Its seal, to note on paper: ${check.end.id}:${check.end.hash}`,
      )
    }
    console.log(`  Put it back with: npm run restore ${path}`)
    if (check.broken) process.exitCode = 1
  }),
)

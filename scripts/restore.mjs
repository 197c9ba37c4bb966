import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { withDatabase } from './lib/database.mjs'
import { checkDump, dumpTo, loadFrom } from './lib/dump.mjs'
import { ensureMariadbDump } from './lib/packages.mjs'
import { at } from './lib/paths.mjs'
import { prepare, prepareBeside, withoutGuard } from './lib/prepare.mjs'
import { Advice, main, step } from './lib/steps.mjs'
import { besides, dropBesides, makeBesides, swapIn } from './lib/swap.mjs'
import { tellFindings, walkBook } from './lib/walk-book.mjs'

const STANDS = 'The shop that was there stands as it was; nothing of the back-up was put into it.'

/** Loads the back-up beside the shop and walks it there; only then does it take the shop's place. */
async function loadBeside(adminUrl, path, evenBroken) {
  const { restoring } = besides(adminUrl)
  await step('beside the shop', () => makeBesides(adminUrl))
  await step('back-up loaded there', () =>
    loadFrom(restoring, path).catch((error) => {
      throw new Advice(
        `The back-up could not be loaded: ${/^ERROR.*/m.exec(error.message)?.[0].slice(0, 300) ?? error.message.split('\n')[0]}\n${STANDS}`,
      )
    }),
  )
  await step('schema', () => prepareBeside(restoring))
  const check = await step('the book', () => walkBook(restoring))
  if (!check.broken) return
  await tellFindings(check)
  if (!evenBroken)
    throw new Advice(
      `The back-up is not what its book says. ${STANDS}\nTo put it in the shop's place all the same: `
      + `npm run restore ${path} -- --even-broken`,
    )
}

/**
 * `npm run restore FILE`: the back-up is loaded beside, its chain walked, and takes the shop's place, which was put
 * aside as a back-up too.
 */
await main(async () => {
  const argv = process.argv.slice(2)
  const named = argv.find(arg => !arg.startsWith('--'))
  if (!named) throw new Advice('Name the back-up: npm run restore backups/veldmoor-….sql.gz')
  const path = resolve(named)
  if (!existsSync(path)) throw new Advice(`There is no file ${path}. Nothing was changed.`)
  await step('MariaDB client', ensureMariadbDump)
  await step('the file', () => checkDump(path).then(() => 'whole'))
  await withDatabase(
    argv,
    async (urls) => {
      const aside = join(
        at('backups'),
        `before-restore-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.sql.gz`,
      )
      try {
        await step('what is there, aside', () => dumpTo(urls.adminUrl, aside))
        await loadBeside(urls.adminUrl, path, argv.includes('--even-broken'))
        await step('swapped', () => withoutGuard(urls.adminUrl, () => swapIn(urls.adminUrl)))
      }
      finally {
        await dropBesides(urls.adminUrl)
      }
      await step('rights', () => prepare(urls))
      const check = await step('the book', () => walkBook(urls.adminUrl))
      console.log(`\n  What was there before is in ${aside}; to go back: npm run restore ${aside}`)
      if (check.broken) process.exitCode = 1
      else
        console.log(
          `  Restored. Book unbroken up to record ${check.end.id}. Its seal: ${check.end.id}:${check.end.hash}`,
        )
    },
    { resting: true, create: true },
  )
})

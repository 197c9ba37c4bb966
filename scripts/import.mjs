import { createReadStream, existsSync } from 'node:fs'
import { withDatabase } from './lib/database.mjs'
import { prepare } from './lib/prepare.mjs'
import { Advice, main } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'
import { tellFindings } from './lib/walk-book.mjs'

const WHY = {
  not_json: ({ detail }, path) => `${path} is no JSON (${detail}).`,
  not_an_export: ({ detail }) => `This is not a whole shop as exported (${detail}).`,
  not_empty: () =>
    'There is a shop in this database already. Import into an empty one: '
    + 'name another folder with VELDMOOR_FOLDER, or another DATABASE_URL.',
  end_differs: ({ detail }) => `The book in the file is not whole: ${detail}.`,
  not_whole: () => 'The shop in the file is not what its book says.',
}

/**
 * `npm run import FILE`: an exported shop into an empty database, all of it or nothing, its chain walked and its rows
 * held against it. `--even-broken` takes one whose rows are not what its book says, for want of a better.
 */
await main(async () => {
  const path = process.argv.slice(2).find(arg => !arg.startsWith('--'))
  if (!path || !existsSync(path)) throw new Advice('Name the export: npm run import veldmoor-shop-….json')
  await withDatabase(
    process.argv.slice(2),
    async (urls) => {
      await prepare(urls)
      const [{ connect }, { importShop }] = await Promise.all([
        importSource('server/db/line/connect.ts'),
        importSource('server/db/portable/import-shop.ts'),
      ])
      const admin = connect(urls.adminUrl, 1)
      try {
        const evenBroken = process.argv.includes('--even-broken')
        const done = await importShop(admin, createReadStream(path), Date.now(), { evenBroken })
        if (!done.ok) {
          if (done.findings) await tellFindings(done)
          const again = done.why === 'not_whole' ? `\nTo take it all the same: npm run import ${path} -- --even-broken` : ''
          throw new Advice(`${WHY[done.why](done, path)} Nothing was changed.${again}`)
        }
        const told = `Imported: ${done.rows} rows, ${done.records} records in the book`
        if (done.found === 0) {
          console.log(`${told}, unbroken.`)
          return
        }
        await tellFindings(done)
        console.log(`${told}, with all that is not as the book says.`)
        process.exitCode = 1
      }
      finally {
        await admin.close()
      }
    },
    { resting: true, create: true },
  )
})

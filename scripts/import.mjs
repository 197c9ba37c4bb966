import { existsSync, readFileSync } from 'node:fs'
import { withDatabase } from './lib/database.mjs'
import { prepare } from './lib/prepare.mjs'
import { Advice, main } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'

const WHY = {
  not_an_export: detail => `This is not a whole shop as exported (${detail}).`,
  not_empty: () => 'There is a shop in this database already. Import into an empty one: name another folder with VELDMOOR_FOLDER, or another DATABASE_URL.',
  chain_broken: detail => `The book in the file is not whole: ${detail}.`,
}

/** `npm run import FILE`: an exported shop into an empty database, all of it or nothing, its chain walked. */
await main(async () => {
  const path = process.argv.slice(2).find(arg => !arg.startsWith('--'))
  if (!path || !existsSync(path)) throw new Advice('Name the export: npm run import veldmoor-shop-….json')
  let content
  try {
    content = JSON.parse(readFileSync(path, 'utf8'))
  }
  catch (error) {
    throw new Advice(`${path} is no JSON (${error.message}). Nothing was changed.`)
  }
  await withDatabase(process.argv.slice(2), async (urls) => {
    await prepare(urls)
    const [{ connect }, { importShop }] = await Promise.all([importSource('server/db/connect.ts'), importSource('server/db/portable/import-shop.ts')])
    const admin = connect(urls.adminUrl, 1)
    try {
      const done = await importShop(admin, content)
      if (!done.ok) throw new Advice(`${WHY[done.why](done.detail)} Nothing was changed.`)
      console.log(`Imported: ${done.rows} rows, ${done.records} records in the book, unbroken.`)
    }
    finally {
      await admin.close()
    }
  }, { resting: true, create: true })
})

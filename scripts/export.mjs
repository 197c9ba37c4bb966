import { createWriteStream, renameSync, rmSync } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { withDatabase } from './lib/database.mjs'
import { Advice, main } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'

/** `npm run export [FILE]`: the whole shop as documented JSON. Only a whole file gets its name. */
await main(() =>
  withDatabase(process.argv.slice(2), async ({ adminUrl }) => {
    const path
      = process.argv.slice(2).find(arg => !arg.startsWith('--'))
        ?? `veldmoor-shop-${new Date().toISOString().slice(0, 10)}.json`
    const [{ connect }, { exportShop }] = await Promise.all([
      importSource('server/db/line/connect.ts'),
      importSource('server/db/portable/export-shop.ts'),
    ])
    const sequelize = connect(adminUrl, 1)
    const half = `${path}.part`
    try {
      await pipeline(Readable.from(exportShop(sequelize, Date.now())), createWriteStream(half, { mode: 0o600 }))
      renameSync(half, path)
      console.log(`The whole shop is in ${path}. Guard it like the keys: it holds what passwords are checked against.`)
    }
    catch (error) {
      rmSync(half, { force: true })
      if (error.code === 'ENOSPC')
        throw new Advice(`The disk is full: nothing was written to ${path}. Make room, or name another place.`)
      throw error
    }
    finally {
      await sequelize.close()
    }
  }),
)

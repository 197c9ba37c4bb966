import { writeFileSync } from 'node:fs'
import { at } from './lib/paths.mjs'
import { main } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'

/** Writes the published JSON Schema of the export anew; a test holds it against the tables. */
await main(async () => {
  const { exportSchema } = await importSource('server/db/portable/portable-tables.ts')
  writeFileSync(at('docs', 'shop-export.schema.json'), `${JSON.stringify(exportSchema(), null, 2)}\n`)
})

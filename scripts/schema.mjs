import { writeFileSync } from 'node:fs'
import { ensureNodePackages } from './lib/packages.mjs'
import { at } from './lib/paths.mjs'
import { main } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'

/** Writes the published JSON Schemas anew; tests hold them against the contracts. */
await main(async () => {
  await ensureNodePackages()
  const { exportSchema } = await importSource('server/db/portable/portable-tables.ts')
  const { recipeSchema } = await importSource('shared/contracts/recipes.ts')
  writeFileSync(at('docs', 'recipes.schema.json'), `${JSON.stringify(recipeSchema(), null, 2)}\n`)
  writeFileSync(at('docs', 'shop-export.schema.json'), `${JSON.stringify(exportSchema(), null, 2)}\n`)
})

import { existsSync } from 'node:fs'
import { at } from './lib/paths.mjs'
import { readOptions, serve } from './lib/serve.mjs'
import { Advice, main } from './lib/steps.mjs'

await main(() => {
  if (existsSync(at('.env'))) process.loadEnvFile(at('.env'))
  const { DATABASE_URL: databaseUrl = null, SESSION_SECRET: sessionSecret = null } = process.env
  if (databaseUrl && !sessionSecret) throw new Advice('With DATABASE_URL set, SESSION_SECRET is needed too (32 characters or more, the same for every process). .env.example shows how.')
  console.log('Veldmoor')
  return serve({
    name: 'shop', demo: false, options: readOptions(process.argv.slice(2)), databaseUrl, sessionSecret,
    announce: address => console.log(`\n  ${address}\n\n  The first visit creates the owner's account. Ctrl-C stops it.`),
  })
})

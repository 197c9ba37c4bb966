import { existsSync } from 'node:fs'
import { at } from './lib/paths.mjs'
import { readOptions, serve } from './lib/serve.mjs'
import { newSetupCode } from './lib/secrets.mjs'
import { Advice, main } from './lib/steps.mjs'

await main(() => {
  if (existsSync(at('.env'))) process.loadEnvFile(at('.env'))
  // An empty setting is one that was left at its default.
  const databaseUrl = process.env.DATABASE_URL || null
  const adminUrl = process.env.DATABASE_ADMIN_URL || null
  const sessionSecret = process.env.SESSION_SECRET || null
  if (databaseUrl && !sessionSecret)
    throw new Advice(
      'With DATABASE_URL set, SESSION_SECRET is needed too (32 characters or more, the same for every process). .env.example shows how.',
    )
  const options = readOptions(process.argv.slice(2))
  console.log('Veldmoor')
  // Whoever opens the shop stands at its computer: made anew at each start, and worth nothing once there is a shop.
  const setupCode = process.env.SETUP_CODE || newSetupCode()
  return serve({
    // Several processes may run side by side on a database of the shop's own, one a port.
    name: databaseUrl ? `shop-${options.port}` : 'shop',
    demo: false,
    options,
    databaseUrl,
    adminUrl,
    sessionSecret,
    env: { SETUP_CODE: setupCode },
    announce: address =>
      console.log(
        `\n  ${address}\n\n  A first visit opens the shop with this code: `
        + `${setupCode}\n  ${address}/set-up#code=${setupCode}\n\n  Ctrl-C stops it.`,
      ),
  })
})

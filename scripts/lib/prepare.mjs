import { importSource } from './typescript.mjs'

/** Brings a database's schema up to date and gives the application's user its rights; says how many steps there were. */
export async function prepare({ adminUrl, url }) {
  const { prepareDatabase } = await importSource('server/db/prepare.ts')
  const applied = await prepareDatabase({ admin: adminUrl, app: url })
  return applied.length ? `${applied.length} migration(s) applied` : 'up to date'
}

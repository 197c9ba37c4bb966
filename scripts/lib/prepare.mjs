import { importSource } from './typescript.mjs'

/**
 * Brings a database's schema up to date and gives the application's user its rights; says how many steps there were.
 */
export async function prepare({ adminUrl, url }) {
  const { prepareDatabase } = await importSource('server/db/setup/prepare.ts')
  const applied = await prepareDatabase({ admin: adminUrl, app: url })
  return applied.length ? `${applied.length} migration(s) applied` : 'up to date'
}

/**
 * The same for a shop that lies beside: no application reaches it, and it carries no trigger, so that its tables can be
 * moved.
 */
export async function prepareBeside(adminUrl) {
  const { prepareBeside: work } = await importSource('server/db/setup/prepare.ts')
  const applied = await work(adminUrl)
  return applied.length ? `${applied.length} migration(s) applied` : 'up to date'
}

/** Takes the book's guard away for the moment of a swap, or puts it back. */
export async function withoutGuard(adminUrl, work) {
  const [{ connect }, { guardBook, unguardBook }] = await Promise.all([
    importSource('server/db/line/connect.ts'),
    importSource('server/db/setup/book-guard.ts'),
  ])
  const admin = connect(adminUrl, 1)
  try {
    await unguardBook(admin)
    return await work()
  }
  catch (error) {
    // The head would stay behind without it, and the next record would break the chain.
    await guardBook(admin)
    throw error
  }
  finally {
    await admin.close()
  }
}

import { databaseOf } from './dump.mjs'
import { Advice } from './steps.mjs'
import { importSource } from './typescript.mjs'

const named = (adminUrl, name) => {
  const url = new URL(adminUrl)
  url.pathname = `/${encodeURIComponent(name)}`
  return url.toString()
}
/** Databases beside the shop's: where a back-up is loaded, and where the shop lies for the moment of the swap. */
export const besides = (adminUrl) => {
  const name = databaseOf(adminUrl)
  return { restoring: named(adminUrl, `${name}_restoring`), before: named(adminUrl, `${name}_before`) }
}

const quoted = adminUrl => `\`${databaseOf(adminUrl).replaceAll('`', '``')}\``
const TABLES
  = 'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? AND table_type = \'BASE TABLE\''

async function onServer(adminUrl, work) {
  const { connect } = await importSource('server/db/line/connect.ts')
  const admin = connect(adminUrl, 1)
  try {
    return await work(
      sql => admin.query(sql, { type: 'RAW' }),
      async of => (await admin.query(TABLES, { type: 'SELECT', replacements: [databaseOf(of)] })).map(row => row.name),
    )
  }
  finally {
    await admin.close()
  }
}

/** Empty databases beside the shop's. What an earlier try left in them goes. */
export const makeBesides = adminUrl =>
  onServer(adminUrl, async (run) => {
    const { restoring, before } = besides(adminUrl)
    for (const one of [restoring, before]) {
      try {
        await run(`DROP DATABASE IF EXISTS ${quoted(one)}`)
        await run(`CREATE DATABASE ${quoted(one)} CHARACTER SET utf8mb4`)
      }
      catch (error) {
        if (error.parent?.code !== 'ER_DBACCESS_DENIED_ERROR') throw error
        throw new Advice(
          'A back-up is loaded beside the shop first, and the owner of this database may not make '
          + `${quoted(one)}. Nothing was changed. Have this run by whoever may: `
          + `GRANT ALL ON \`${databaseOf(adminUrl)}%\`.* TO that user WITH GRANT OPTION`,
        )
      }
    }
  })

/**
 * The loaded shop takes the place of the one there, all its tables in one statement; the one there goes. Neither may
 * have triggers.
 */
export const swapIn = adminUrl =>
  onServer(adminUrl, async (run, tablesOf) => {
    const { restoring, before } = besides(adminUrl)
    const [there, loaded] = [await tablesOf(adminUrl), await tablesOf(restoring)]
    const moves = [
      ...there.map(name => `${quoted(adminUrl)}.\`${name}\` TO ${quoted(before)}.\`${name}\``),
      ...loaded.map(name => `${quoted(restoring)}.\`${name}\` TO ${quoted(adminUrl)}.\`${name}\``),
    ]
    await run('SET SESSION foreign_key_checks = 0')
    await run(`RENAME TABLE ${moves.join(', ')}`)
    return `${loaded.length} tables`
  })

/** The databases beside go, with whatever is left in them. */
export const dropBesides = adminUrl =>
  onServer(adminUrl, async (run) => {
    for (const one of Object.values(besides(adminUrl))) await run(`DROP DATABASE IF EXISTS ${quoted(one)}`)
  })

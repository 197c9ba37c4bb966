import { QueryTypes, type Sequelize } from 'sequelize'

/** What only grows: the application's user may read it and add to it, and has no right to change or remove a row. */
export const ONLY_GROWS: readonly string[] = ['events', 'event_subjects', 'files']
/** Not the application's business at all. */
const NOT_ITS_OWN: readonly string[] = ['migrations']

const select = { type: QueryTypes.SELECT } as const

/** "'veldmoor'@'127.0.0.1'": the account that a connection stands for, quoted. */
async function accountOf(app: Sequelize): Promise<string> {
  const [row] = await app.query<{ account: string }>('SELECT CURRENT_USER() AS account', select)
  const [user = '', host = ''] = row!.account.split(/@(?=[^@]*$)/)
  return `'${user.replaceAll('\'', '\'\'')}'@'${host.replaceAll('\'', '\'\'')}'`
}

/**
 * Gives the application's user what it needs and no more: read and add everywhere, change only tables of the current
 * state, delete nothing. `admin` must own the database and may grant. Rights given before are taken back first.
 */
export async function grantRights(admin: Sequelize, app: Sequelize, database: string): Promise<void> {
  const account = await accountOf(app)
  const run = (sql: string) => admin.query(sql, { type: QueryTypes.RAW })
  const rows = await admin.query<{ name: string }>('SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = \'BASE TABLE\'', select)
  const db = `\`${database.replaceAll('`', '``')}\``
  for (const { name } of rows) await revoke(admin, `REVOKE ALL PRIVILEGES ON ${db}.\`${name}\` FROM ${account}`)
  await revoke(admin, `REVOKE ALL PRIVILEGES ON ${db}.* FROM ${account}`)
  await run(`GRANT SELECT, INSERT ON ${db}.* TO ${account}`)
  for (const { name } of rows) {
    if (!ONLY_GROWS.includes(name) && !NOT_ITS_OWN.includes(name)) await run(`GRANT UPDATE ON ${db}.\`${name}\` TO ${account}`)
  }
}

async function revoke(admin: Sequelize, sql: string): Promise<void> {
  try {
    await admin.query(sql, { type: QueryTypes.RAW })
  }
  catch (error) {
    // Nothing was granted: nothing to take back.
    const { code } = (error as { parent?: { code?: string } }).parent ?? {}
    if (code !== 'ER_NONEXISTING_GRANT' && code !== 'ER_NONEXISTING_TABLE_GRANT') throw error
  }
}

/** True when the connection's user may change or remove records of the book, which it should not. Tries, and changes nothing. */
export async function mayChangeBook(app: Sequelize): Promise<boolean> {
  for (const sql of ['UPDATE events SET reason = reason WHERE 1 = 0', 'DELETE FROM events WHERE 1 = 0', 'UPDATE event_subjects SET code = code WHERE 1 = 0', 'DELETE FROM event_subjects WHERE 1 = 0']) {
    try {
      await app.query(sql, { type: QueryTypes.RAW })
      return true
    }
    catch (error) {
      if ((error as { parent?: { code?: string } }).parent?.code !== 'ER_TABLEACCESS_DENIED_ERROR') throw error
    }
  }
  return false
}

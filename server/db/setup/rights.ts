import { QueryTypes, type Sequelize } from 'sequelize'
import { SPECS } from '../database'
import { snake } from '../schema/table-spec'

/** What only grows: the application's user may read it and add to it, and has no right to change or remove a row. */
export const ONLY_GROWS: readonly string[] = Object.values(SPECS)
  .filter(spec => spec.changes.length === 0 && !spec.voidable && spec.name !== 'book_head')
  .map(spec => spec.name)
/** What it may read alone: a trigger of the owner's moves the head, the start command knows the migrations. */
export const ONLY_READ: readonly string[] = ['book_head', 'migrations']

const select = { type: QueryTypes.SELECT } as const

/** "'veldmoor'@'127.0.0.1'": the account that a connection stands for, quoted. */
async function accountOf(app: Sequelize): Promise<string> {
  const [row] = await app.query<{ account: string }>('SELECT CURRENT_USER() AS account', select)
  const [user = '', host = ''] = row!.account.split(/@(?=[^@]*$)/)
  return `'${user.replaceAll('\'', '\'\'')}'@'${host.replaceAll('\'', '\'\'')}'`
}

/** Rights on each table, columns of the ones that change named one by one. */
const RIGHTS: readonly { table: string; rights: string }[] = [
  ...Object.values(SPECS)
    .filter(spec => !ONLY_READ.includes(spec.name))
    .map((spec) => {
      const changes = [...spec.changes.map(snake), ...(spec.voidable ? ['voided'] : [])]
      return {
        table: spec.name,
        rights: `SELECT, INSERT${changes.length ? `, UPDATE (${changes.map(name => `\`${name}\``).join(', ')})` : ''}`,
      }
    }),
  ...ONLY_READ.map(table => ({ table, rights: 'SELECT' })),
]

/**
 * Gives the application's user what it needs and no more: read and add, change only the columns that a later record may
 * change, delete nothing. `admin` must own the database and may grant. Rights given before are taken back first.
 */
export async function grantRights(admin: Sequelize, app: Sequelize, database: string): Promise<void> {
  const account = await accountOf(app)
  const rows = await admin.query<{ name: string }>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = \'BASE TABLE\'',
    select,
  )
  const db = `\`${database.replaceAll('`', '``')}\``
  for (const { name } of rows) await revoke(admin, `REVOKE ALL PRIVILEGES ON ${db}.\`${name}\` FROM ${account}`)
  await revoke(admin, `REVOKE ALL PRIVILEGES ON ${db}.* FROM ${account}`)
  for (const { table, rights } of RIGHTS)
    await admin.query(`GRANT ${rights} ON ${db}.\`${table}\` TO ${account}`, { type: QueryTypes.RAW })
}

async function revoke(admin: Sequelize, sql: string): Promise<void> {
  try {
    await admin.query(sql, { type: QueryTypes.RAW })
  }
  catch (error) {
    // An error is fine where nothing was granted: there is nothing to take back.
    const { code } = (error as { parent?: { code?: string } }).parent ?? {}
    if (code !== 'ER_NONEXISTING_GRANT' && code !== 'ER_NONEXISTING_TABLE_GRANT') throw error
  }
}

const DENIED = ['ER_TABLEACCESS_DENIED_ERROR', 'ER_COLUMNACCESS_DENIED_ERROR']
const FORBIDDEN = [
  ...['events', 'event_subjects', 'event_rows', 'book_head'].flatMap(table => [
    `UPDATE ${table} SET id = id WHERE 1 = 0`,
    `DELETE FROM ${table} WHERE 1 = 0`,
  ]),
  'INSERT INTO migrations SELECT * FROM migrations WHERE 1 = 0',
]

/**
 * True when the connection's user may change or remove records of the book, which it should not. Tries, and changes
 * nothing.
 */
export async function mayChangeBook(app: Sequelize): Promise<boolean> {
  for (const sql of FORBIDDEN) {
    try {
      await app.query(sql, { type: QueryTypes.RAW })
      return true
    }
    catch (error) {
      if (!DENIED.includes((error as { parent?: { code?: string } }).parent?.code ?? '')) throw error
    }
  }
  return false
}

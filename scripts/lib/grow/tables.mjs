const ROWS_AT_ONCE = 2000

/** A line of the owner's, past Sequelize: bulk rows, dates as texts. */
export async function connectAsOwner(adminUrl) {
  const mariadb = await import('mariadb')
  const { hostname, port, username, password, pathname } = new URL(adminUrl)
  return mariadb.createConnection({
    host: hostname,
    port: Number(port),
    user: username,
    password: decodeURIComponent(password),
    database: pathname.slice(1),
    dateStrings: true,
    autoJsonMap: false,
    bigIntAsNumber: true,
    timezone: 'Z',
    initSql: 'SET SESSION time_zone = \'+00:00\'',
  })
}

/** Every row of some tables, by table. */
export async function readAll(owner, tables) {
  const all = {}
  for (const table of tables)
    all[table] = (await owner.query(`SELECT * FROM \`${table}\` ORDER BY id`)).map(row => ({ ...row }))
  return all
}

/** "table.column" to the table that it names a row of, as the schema has it. */
export async function linksOf(owner) {
  const rows = await owner.query(
    'SELECT table_name AS t, column_name AS c, referenced_table_name AS r '
    + 'FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL',
  )
  return new Map(rows.map(row => [`${row.t}.${row.c}`, row.r]))
}

export async function insertRows(owner, table, rows) {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const some = rows.slice(from, from + ROWS_AT_ONCE)
    const columns = Object.keys(some[0])
    await owner.batch(
      `INSERT INTO \`${table}\` (${columns.map(column => `\`${column}\``).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
      some.map(row => columns.map(column => row[column])),
    )
  }
}

import type { Connection } from 'mariadb'
import type { Sequelize, Transaction } from 'sequelize'

/** A line of Sequelize's pool that is one transaction's own until that ends. A Sequelize transaction is one, too. */
export interface Held {
  connection: Connection
  /** How it ended; after that its line is another's. */
  finished?: string | undefined
  /** The error by which the server took all of it back, if it did: nothing more may be sent, and nothing kept. */
  takenBack?: Error | undefined
}

export type Within = Held | Transaction

/** Parts of Sequelize that its types do not tell of. */
interface Inside {
  connectionManager: {
    getConnection: (options: object) => Promise<Connection>
    releaseConnection: (line: Connection) => void
    destroyConnection: (line: Connection) => Promise<void>
  }
  dialect: {
    Query: new (line: Connection, sequelize: Sequelize, options: object) => {
      formatError: (error: unknown, stack?: string) => Error
    }
  }
}

export const poolOf = (sequelize: Sequelize): Inside['connectionManager'] =>
  (sequelize as unknown as Inside).connectionManager

/** Errors after which nothing of a transaction is left, whoever caught them. Source: MariaDB, InnoDB error handling. */
export const TAKES_ALL_BACK: ReadonlySet<string> = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD'])

/** Questions outside any transaction that go together on one line of the pool, and leave in one packet. */
interface Together {
  line: Promise<Connection>
  sent: number
  open: number
}
/** How many wait on one line: a page asks more, and has the other lines answer beside each other. */
const MOST_TOGETHER = 4
/** Questions that wait for their line still: whoever asks at the same moment goes along. */
const gathering = new WeakMap<Sequelize, Together>()

function goAlong(sequelize: Sequelize): Together {
  const waiting = gathering.get(sequelize)
  if (waiting && waiting.sent < MOST_TOGETHER) return Object.assign(waiting, { sent: waiting.sent + 1, open: waiting.open + 1 })
  const together: Together = { line: poolOf(sequelize).getConnection({ type: 'SELECT' }), sent: 1, open: 1 }
  gathering.set(sequelize, together)
  const sent = () => {
    if (gathering.get(sequelize) === together) gathering.delete(sequelize)
  }
  together.line.then(sent, sent)
  return together
}

/**
 * Sends one statement as it stands, and brings its rows as the driver reads them. Goes by Sequelize's lines and gives
 * Sequelize's errors; what `Sequelize.query` does besides (hooks, replacements, copies of rows, a stack for each
 * statement) costs more of a press than the database does.
 */
export async function ask<R>(sequelize: Sequelize, sql: string, within?: Within): Promise<R[]> {
  const held = within as Held | undefined
  if (held?.finished) throw new Error('a statement came after its transaction had ended')
  if (held?.takenBack) throw held.takenBack
  if (held) {
    return await sendOn<R>(sequelize, held.connection, sql).catch((error: Error & { parent?: { code?: string } }) => {
      if (TAKES_ALL_BACK.has(error.parent?.code ?? '')) held.takenBack = error
      throw error
    })
  }
  const together = goAlong(sequelize)
  const line = await together.line
  try {
    return await sendOn<R>(sequelize, line, sql)
  }
  finally {
    together.open -= 1
    if (together.open === 0) poolOf(sequelize).releaseConnection(line)
  }
}

/** Sends a row's INSERT, and brings the number that the database gave it; 0 where the row brought its own. */
export async function askNumber(sequelize: Sequelize, sql: string, within?: Within): Promise<number> {
  const { insertId } = (await ask(sequelize, sql, within)) as unknown as { insertId: number }
  return insertId
}

/** Sends a statement on a line, whatever is open there. */
export async function sendOn<R>(sequelize: Sequelize, line: Connection, sql: string): Promise<R[]> {
  try {
    return await line.query<R[]>(sql)
  }
  catch (error) {
    Object.assign(error as object, { sql })
    throw new (sequelize as unknown as Inside).dialect.Query(line, sequelize, {}).formatError(error, new Error('asked').stack)
  }
}

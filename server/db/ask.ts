import type { Connection } from 'mariadb'
import type { Sequelize, Transaction } from 'sequelize'

/** A line of Sequelize's pool that is one transaction's own until that ends. A Sequelize transaction is one, too. */
export interface Held {
  connection: Connection
  /** How it ended; after that its line is another's. */
  finished?: string | undefined
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

/**
 * Sends one statement as it stands, and brings its rows as the driver reads them. Goes by Sequelize's lines and gives
 * Sequelize's errors; what `Sequelize.query` does besides (hooks, replacements, copies of rows, a stack for each
 * statement) costs more of a press than the database does.
 */
export async function ask<R>(sequelize: Sequelize, sql: string, within?: Within): Promise<R[]> {
  const held = within as Held | undefined
  if (held?.finished) throw new Error('a statement came after its transaction had ended')
  const line = held?.connection ?? (await poolOf(sequelize).getConnection({ type: 'SELECT' }))
  try {
    return await line.query<R[]>(sql)
  }
  catch (error) {
    Object.assign(error as object, { sql })
    throw new (sequelize as unknown as Inside).dialect.Query(line, sequelize, {}).formatError(error, new Error('asked').stack)
  }
  finally {
    if (!held) poolOf(sequelize).releaseConnection(line)
  }
}

import type { Sequelize } from 'sequelize'
import { poolOf, sendOn, type Held } from './ask'

/**
 * Runs a write on a line of its own. Lines of `writes` keep autocommit off: a transaction begins with its first
 * statement, and what was sent behind one that a deadlock threw back is thrown back as well, never left standing alone.
 * So statements may be sent without waiting for those before them.
 *
 * A line whose end is not known is closed, which rolls back whatever was open on it.
 */
export async function onWriteLine<T>(writes: Sequelize, work: (held: Held) => Promise<T>): Promise<T> {
  const pool = poolOf(writes)
  const held: Held = { connection: await pool.getConnection({}) }
  const end = async (how: 'COMMIT' | 'ROLLBACK') => {
    held.finished = how
    await sendOn(writes, held.connection, how).then(
      () => pool.releaseConnection(held.connection),
      async (error: unknown) => {
        await pool.destroyConnection(held.connection)
        throw error
      },
    )
  }
  let value: T
  try {
    value = await work(held)
    // Whoever caught that error went on with nothing.
    if (held.takenBack) throw held.takenBack
  }
  catch (error) {
    // A line that is gone has nothing left to take back; what happened first is told.
    await end('ROLLBACK').catch(() => {})
    throw error
  }
  await end('COMMIT')
  return value
}

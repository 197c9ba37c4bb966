import * as mariadb from 'mariadb'
import { until } from '../../scripts/lib/processes.mjs'

/**
 * Waits until a statement of the application stands at work in its database: behind a lock that a test holds it stays
 * there. Asked by the application's own user, who sees its own statements. False after ten seconds.
 */
export async function isAtWork(databaseUrl: string, like: string): Promise<boolean> {
  const one = await mariadb.createConnection(databaseUrl)
  try {
    return await until(async () => {
      const found = await one.query(
        'SELECT 1 FROM information_schema.processlist WHERE db = DATABASE() AND id <> CONNECTION_ID() AND info LIKE ?',
        [like],
      )
      return found.length > 0
    }, 10_000)
  }
  finally {
    await one.end()
  }
}

/** Keeps a lock that a statement takes until `work` is done. */
export async function holding<T>(databaseUrl: string, lock: string, work: () => Promise<T>): Promise<T> {
  const one = await mariadb.createConnection(databaseUrl)
  try {
    await one.query('START TRANSACTION')
    await one.query(lock)
    return await work()
  }
  finally {
    await one.end()
  }
}

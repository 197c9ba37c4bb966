import type { BookCheckView } from '#shared/contracts/events'
import { aside } from '../../aside/pool'
import { mayChangeBook } from '../../db/setup/rights'
import type { Store } from '../../db/database'

let going: Promise<BookCheckView> | null = null

async function check(store: Store, databaseUrl: string): Promise<BookCheckView> {
  const [found, changeable] = [await aside('walkBook', { databaseUrl }), await mayChangeBook(store.sequelize)]
  return { ...found, changeable }
}

/**
 * The whole chain checked, and whether this application's own database user could have changed it. One walk at a time:
 * whoever asks while one goes on gets what that one finds.
 */
export function checkBook(store: Store, databaseUrl: string): Promise<BookCheckView> {
  going ??= check(store, databaseUrl).finally(() => (going = null))
  return going
}

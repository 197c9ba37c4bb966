import type { BookCheckView } from '#shared/contracts/events'
import { aside } from '../../aside/pool'
import { mayChangeBook } from '../../db/rights'
import type { Store } from '../../db/database'

/** The whole chain checked, and whether this application's own database user could have changed it. */
export async function checkBook(store: Store, databaseUrl: string): Promise<BookCheckView> {
  const [check, changeable] = [await aside('walkBook', { databaseUrl }), await mayChangeBook(store.sequelize)]
  return { ...check, changeable }
}

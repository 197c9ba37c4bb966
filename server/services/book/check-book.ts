import type { BookCheckView } from '#shared/contracts/events'
import { mayChangeBook } from '../../db/rights'
import type { Store } from '../../db/database'
import { verifyBook } from '../../db/verify-book'

/** The whole chain checked, and whether this application's own database user could have changed it. */
export async function checkBook(store: Store): Promise<BookCheckView> {
  const [check, changeable] = [await verifyBook(store.slow), await mayChangeBook(store.sequelize)]
  return { ...check, changeable }
}

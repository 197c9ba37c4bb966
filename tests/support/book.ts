import { connect } from '../../server/db/line/connect'
import { verifyBook, type BookCheck } from '../../server/db/integrity/verify-book'

/** Walks a test shop's whole chain, as the one who owns the database. */
export async function walkBook(adminUrl: string): Promise<BookCheck> {
  const sequelize = connect(adminUrl, 1)
  try {
    return await verifyBook(sequelize)
  }
  finally {
    await sequelize.close()
  }
}

import { connect } from '../db/line/connect'
import { verifyBook, type BookCheck } from '../db/integrity/verify-book'

const LINES = 2

/** The whole walk, over database lines of its own. */
export async function walkBook({ databaseUrl }: { databaseUrl: string }): Promise<BookCheck> {
  const sequelize = connect(databaseUrl, LINES)
  try {
    return await verifyBook(sequelize)
  }
  finally {
    await sequelize.close()
  }
}

import { importSource } from './typescript.mjs'

/** Walks the whole chain of a database; with words for a step. */
export async function walkBook(adminUrl) {
  const [{ connect }, { verifyBook }] = await Promise.all([importSource('server/db/connect.ts'), importSource('server/db/verify-book.ts')])
  const sequelize = connect(adminUrl, 2)
  try {
    const check = await verifyBook(sequelize)
    return { ...check, words: check.broken ? 'broken' : `${check.records} records unbroken` }
  }
  finally {
    await sequelize.close()
  }
}

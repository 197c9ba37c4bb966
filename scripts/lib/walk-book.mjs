import { importSource } from './typescript.mjs'

/** Walks the whole chain of a database and holds its rows against it; with words for a step. */
export async function walkBook(adminUrl, seal = null) {
  const [{ connect }, { verifyBook }] = await Promise.all([
    importSource('server/db/line/connect.ts'),
    importSource('server/db/integrity/verify-book.ts'),
  ])
  const sequelize = connect(adminUrl, 2)
  try {
    const check = await verifyBook(sequelize, { seal })
    return {
      ...check,
      words: check.broken ? 'broken' : `${check.records} records unbroken, ${check.rows} rows as sealed`,
    }
  }
  finally {
    await sequelize.close()
  }
}

/** What a walk found, a line each, on the error output. */
export async function tellFindings({ findings, found }) {
  const { findingWords } = await importSource('shared/messages/findings.ts')
  for (const finding of findings) console.error(`BROKEN: ${findingWords(finding)}`)
  if (found > findings.length) console.error(`and ${found - findings.length} more`)
}

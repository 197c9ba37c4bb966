import { withDatabase } from './lib/database.mjs'
import { main, step } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'
import { tellFindings, walkBook } from './lib/walk-book.mjs'

/** "L-0007: moved (record 312)" */
const words = (done, steps) => steps.map(one => `${done[one.kind]}${one.eventId === null ? '' : ` (record ${one.eventId})`}`)

/**
 * `npm run settle-steps`: of every two steps of a lot that cannot both be, the later, which counts for nothing already, is
 * voided on record; and where pieces stand is worked out anew. Smokes and slicings are left to a person.
 */
await main(() =>
  withDatabase(process.argv.slice(2), async ({ url, adminUrl }) => {
    const [{ settleShop }, { STEP_DONE }] = await Promise.all([
      importSource('server/services/press/settle-shop.ts'),
      importSource('shared/messages/steps.ts'),
    ])
    const { lots } = await step('the lots', async () => {
      const done = await settleShop(url, Date.now())
      return { ...done, words: `${done.lots.filter(lot => lot.settled.length > 0 || lot.isMoved).length} set right` }
    })
    for (const { code, settled, left, isMoved } of lots) {
      const done = [...words(STEP_DONE, settled), ...(isMoved ? ['where its pieces stand'] : [])]
      if (done.length > 0) console.log(`  ${code}: ${done.join(', ')}`)
      for (const one of words(STEP_DONE, left)) console.log(`  ${code}: left as it is: ${one}. Void it in the lot's book.`)
    }
    const check = await step('the book', () => walkBook(adminUrl))
    if (!check.broken) return
    await tellFindings(check)
    process.exitCode = 1
  }),
)

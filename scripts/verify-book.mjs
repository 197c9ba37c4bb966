import { withDatabase } from './lib/database.mjs'
import { Advice, main } from './lib/steps.mjs'
import { importSource } from './lib/typescript.mjs'
import { tellFindings, walkBook } from './lib/walk-book.mjs'

const sealOf = (argv) => {
  const at = argv.findIndex(arg => arg === '--seal' || arg.startsWith('--seal='))
  if (at < 0) return null
  return argv[at].includes('=') ? argv[at].slice('--seal='.length) : (argv[at + 1] ?? '')
}

/**
 * Walks the whole book and the shop's rows, and names all that is not as it was. Leaves with 1 when there is anything.
 */
await main(() =>
  withDatabase(process.argv.slice(2), async ({ adminUrl }) => {
    const noted = sealOf(process.argv.slice(2))
    const { readSeal } = await importSource('core/book/findings.ts')
    const seal = noted === null ? null : readSeal(noted)
    if (noted !== null && seal === null)
      throw new Advice(
        '--seal wants a record\'s number and its hash of 64 digits, as a back-up prints them: --seal 334:f94b…',
      )
    const check = await walkBook(adminUrl, seal)
    console.log(
      `${check.records} records walked and ${check.rows} rows held against them in ${(check.ms / 1000).toFixed(1)} s`,
    )
    if (check.contradicting.length > 0)
      console.log(
        `What was told of these lots contradicts itself: ${check.contradicting.join(', ')}. Each lot's page says which two `
        + 'steps and voids one; npm run settle-steps does it for all, on record.',
      )
    if (check.broken) {
      await tellFindings(check)
      process.exitCode = 1
      return
    }
    console.log(
      `The chain is unbroken${seal ? `, and record ${seal.id} has the seal that was noted` : ''}. `
      + `Record ${check.end.id}, hash ${check.end.hash}`,
    )
  }),
)

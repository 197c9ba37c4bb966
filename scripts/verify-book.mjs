import { withDatabase } from './lib/database.mjs'
import { main } from './lib/steps.mjs'
import { walkBook } from './lib/walk-book.mjs'

const WHY = {
  changed: 'does not fit its hash: it was changed',
  missing: 'is missing: records were taken out',
  end_differs: 'is where the book and its head part: records were cut off the end, or the rest was written anew',
  subjects_differ: 'is not found under the codes that it names',
}

/** Walks the whole book and names the first broken record. Leaves with 1 when it is broken. */
await main(() => withDatabase(process.argv.slice(2), async ({ adminUrl }) => {
  const { records, broken, end, ms } = await walkBook(adminUrl)
  console.log(`${records} records walked in ${(ms / 1000).toFixed(1)} s`)
  if (broken) {
    console.error(`BROKEN: record ${broken.id} ${WHY[broken.why]}. Every record before it is sound.`)
    process.exitCode = 1
  }
  else {
    console.log(`The chain is unbroken. Record ${end.id}, hash ${end.hash}`)
  }
}))

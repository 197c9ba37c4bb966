import { readOptions, serve } from './lib/serve.mjs'
import { Advice, main } from './lib/steps.mjs'

const USUAL = { lots: 4000, readings: 10_000 }

/** `--lots N` over ten years, `--readings N` in each smoke of two lots. */
function count(argv, flag, usual, least) {
  const place = argv.indexOf(flag)
  const number = place < 0 ? usual : Number(argv[place + 1])
  if (!Number.isInteger(number) || number < least) throw new Advice(`${flag} wants a whole number from ${least}.`)
  return number
}

/** Fills a new shop with made-up years; one that is there already is kept. */
async function grow(database, options) {
  const [{ growShop }, { openStore }] = await Promise.all([
    import('./lib/grow/grow-shop.mjs'),
    import('./lib/typescript.mjs').then(({ importSource }) => importSource('server/db/database.ts')),
  ])
  const store = openStore(database.url)
  const there = await store.tables.lots.count().finally(() => store.close())
  if (there > 0) return `${there} lots, kept as they were`
  await growShop({ ...database, ...options, say: words => console.log(`    ${words}`) })
  return `${options.lots} lots over ten years`
}

await main(() => {
  const argv = process.argv.slice(2)
  const [lots, readingsARun] = [count(argv, '--lots', USUAL.lots, 20), count(argv, '--readings', USUAL.readings, 1)]
  console.log('Veldmoor, a made-up shop of ten years')
  return serve({
    name: 'grown',
    demo: true,
    options: readOptions(argv),
    fill: database => grow(database, { lots, readingsARun }),
    announce: address =>
      console.log(
        `\n  ${address}\n\n  sign in as  marit, password  bacon-and-brine\n\n  Ctrl-C stops it; --fresh grows another.`,
      ),
  })
})

import { ensureBuild } from '../build.mjs'
import { median, rank, sorted } from '../ranks.mjs'
import { clicking, CLICKING_MS, PEOPLE } from './clicking.mjs'
import { firstVisit } from './first-visit.mjs'
import { memoryMb, openGrownShop } from './grown-shop.mjs'
import { inTurn } from './in-turn.mjs'
import { bestStatement, looks } from './looks.mjs'

const SIZES = [40, 400, 4000]
const CALLS = 25

const most = times => Math.max(0, ...times)

/** How a page is answered while somebody has the whole book walked. */
async function walking(who) {
  let over = false
  const walk = who.get('/api/book/check').finally(() => (over = true))
  const floors = []
  while (!over) floors.push((await who.get('/api/floor')).ms)
  return { ms: (await walk).ms, floors }
}

/** Every page of each shop alone, all shops asked in turn: rows by shop. */
async function pagesAlone(shops) {
  const pages = await Promise.all(shops.map(shop => looks(shop.owner)))
  const rows = shops.map(() => [])
  for (let n = 0; n < pages[0].length; n++) {
    const answers = await inTurn(shops, pages.map(list => list[n].ask), CALLS)
    for (const [i, answer] of answers.entries()) rows[i].push({ name: pages[i][n].name, ...answer })
  }
  return { pages, rows }
}

/** One shop by itself: people clicking, the book walked, a first visit, the best statement, memory. */
async function measureCrowd(shop, pages) {
  const alone = memoryMb(shop.app.pid)
  const best = await bestStatement(shop.owner, pages.find(page => page.name.startsWith('thread')).name)
  shop.takeStalls()
  const busy = await clicking(shop.app.address, pages)
  const stalls = shop.takeStalls()
  const walk = { ...(await walking(shop.who)), stall: most(shop.takeStalls()) }
  const peak = memoryMb(shop.app.pid, 'VmHWM')
  return { alone, best, busy, stalls, walk, peak, first: await firstVisit(shop.app.address, shop.folder) }
}

function sayShop({ lots }, rows, { alone, best, busy, stalls, walk, peak, first }) {
  console.log(
    `  ${lots} lots: median ms, worst of ${CALLS}, kB over the line, statements, longest stall; `
    + `with ${PEOPLE} people clicking median and p99`,
  )
  for (const { name, ms, worst, bytes, asked, stall } of rows) {
    const clicked = sorted(busy.get(name))
    const numbers = [ms.toFixed(1), worst.toFixed(1), (bytes / 1000).toFixed(1), asked.toFixed(0), String(stall)]
    const crowd = [rank(clicked, 0.5), rank(clicked, 0.99)].map(value => value.toFixed(1).padStart(7)).join(' ')
    console.log(`    ${name.padEnd(22)} ${numbers.map(number => number.padStart(7)).join(' ')}   ${crowd}`)
  }
  console.log(
    `    while they click nobody was answered for over 20 ms ${stalls.length} times in ${CLICKING_MS / 1000} s, `
    + `at most for ${most(stalls)} ms`,
  )
  console.log(
    `    the book walked in ${(walk.ms / 1000).toFixed(1)} s; the floor meanwhile ${median(walk.floors).toFixed(1)} ms, `
    + `longest stall ${walk.stall} ms`,
  )
  console.log(
    `    a first visit to Today: ${first.requests} requests, ${first.kb} kB; `
    + `${first.scripts} scripts, ${first.scriptsKb} kB`,
  )
  console.log(
    `    best single statement for the thread ${best.toFixed(1)} ms; `
    + `memory of the process ${alone} MB, at most ${peak} MB`,
  )
}

/** How much longer each page takes in the largest shop than in the smallest. */
function sayGrowth(shops, rows) {
  const [small, large] = [rows[0], rows.at(-1)]
  console.log(`  from ${shops[0].lots} to ${shops.at(-1).lots} lots, by medians`)
  for (const [n, { name, ms }] of small.entries()) {
    console.log(`    ${name.padEnd(22)} ${(large[n].ms / ms).toFixed(2).padStart(7)} times`)
  }
}

/**
 * Every page of a shop of some months, of a year, and of ten: time, size and statements, alone and while twenty people
 * click.
 */
export async function measurePages(sizes = SIZES) {
  const { entry } = await ensureBuild()
  const shops = []
  try {
    for (const lots of sizes) shops.push(await openGrownShop(entry, lots))
    const { pages, rows } = await pagesAlone(shops)
    for (const [i, shop] of shops.entries()) sayShop(shop, rows[i], await measureCrowd(shop, pages[i]))
    if (shops.length > 1) sayGrowth(shops, rows)
  }
  finally {
    for (const shop of shops) await shop.close()
  }
}

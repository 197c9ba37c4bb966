import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { ROOT } from '../paths.mjs'
import { median, rank, sorted } from '../ranks.mjs'
import { Advice } from '../steps.mjs'
import { clicking } from './clicking.mjs'

const LOTS = 4000
const ROUNDS = 7
const CALLS = 6
/** Old, new, new, old: what grows or fades in the course of a round does so for both. */
const ORDER = [0, 1, 1, 0]
/** Slower by more than this, and by more than the old one's own rounds differ, is a fault. */
const SLOWER = 1.05

const own = (root, name) => import(join(root, 'scripts/lib', name))
const builtOf = async root => (await (await own(root, 'build.mjs')).ensureBuild()).entry

/** One state of the sources with a grown shop of its own: by its own scripts, because its tables are its own. */
async function shopOf(root, entry) {
  const [{ openGrownShop }, { looks }, { fillColdRoom, layLongLot }] = await Promise.all(
    ['speed/grown-shop.mjs', 'speed/looks.mjs', 'speed/busy-room.mjs'].map(name => own(root, name)),
  )
  const shop = await openGrownShop(entry, LOTS)
  try {
    return {
      shop,
      pages: await looks(shop.owner),
      /** Forty lots more in the cold room, and one of many steps and readings: what a press costs there. */
      fill: async () => {
        const codes = await fillColdRoom(shop.owner)
        const long = await layLongLot(shop.owner)
        let turn = 0
        return [
          { name: 'floor, 40 more lots', ask: who => who.get('/api/floor') },
          { name: 'a lot of 60 steps', ask: who => who.get(`/api/lots/${long}`) },
          { name: 'a turn', ask: who => who.post('/api/steps', turned(codes[turn++ % codes.length])) },
        ]
      },
    }
  }
  catch (error) {
    await shop.close()
    throw error
  }
}

/** A turn, told now, of a lot that was turned long ago. */
const turned = code => ({
  steps: [{ kind: 'turn', how: 'turned', face: null }],
  lots: [{ code, pieces: null }],
  when: { told: 'now' },
  again: true,
})

/** One page of both, seven rounds: the medians of each round. */
async function rounds(shops, asks) {
  const medians = [[], []]
  for (let round = -1; round < ROUNDS; round++) {
    const times = [[], []]
    for (const i of ORDER) {
      for (let n = 0; n < CALLS; n++) times[i].push((await asks[i](shops[i].who)).ms)
    }
    // The first round warms up.
    if (round >= 0) for (const i of [0, 1]) medians[i].push(median(times[i]))
  }
  return medians.map(sorted)
}

/** What both are asked, each in turns, with how much longer the new one takes. */
async function compare(shops, asked) {
  const [olds, news] = [asked[0], asked[1]]
  for (const [n, { name, ask }] of news.entries()) {
    const [before, now] = await rounds(shops, [olds[n].ask, ask])
    const ratio = median(now) / median(before)
    const isFault = ratio > SLOWER && median(now) > before.at(-1)
    console.log(
      `    ${name.padEnd(22)} ${median(before).toFixed(1).padStart(7)} (${before[0].toFixed(1)} to ${before.at(-1).toFixed(1)}) `
      + `${median(now).toFixed(1).padStart(7)}   ${ratio.toFixed(2)} times${isFault ? '   SLOWER' : ''}`,
    )
  }
}

/**
 * Pages and presses of this state of the sources beside those of another, in ten-year shops: in turns, and with twenty
 * people clicking in each. `other` is a clone of the repository with its packages.
 */
export async function measureAgainst(other) {
  const root = resolve(other)
  if (!existsSync(join(root, 'scripts/lib/speed/grown-shop.mjs')))
    throw new Advice(`In ${root} is no clone of this application that can grow a shop.`)
  const both = []
  try {
    const states = []
    for (const one of [root, ROOT]) states.push([one, await builtOf(one)])
    for (const [one, entry] of states) both.push(await shopOf(one, entry))
    const shops = both.map(one => one.shop)
    console.log(`  shops of ${LOTS} lots, ${root} beside this one: ms, medians of ${ROUNDS} rounds; the old one's spread`)
    await compare(shops, both.map(one => one.pages))
    for (const [i, words] of ['old', 'new', 'new', 'old'].entries()) {
      const { shop, pages } = both[ORDER[i]]
      const clicked = await clicking(shop.app.address, pages)
      const p99 = [...clicked].map(([name, times]) => [name, rank(sorted(times), 0.99)])
      const all = sorted([...clicked.values()].flat())
      const [worst, worstMs] = p99.toSorted((a, b) => b[1] - a[1])[0]
      console.log(
        `    ${words}: twenty people clicking, median ${median(all).toFixed(0)}, p99 ${rank(all, 0.99).toFixed(0)} ms; `
        + `the slowest page, ${worst}, p99 ${worstMs.toFixed(0)} ms; ${all.length} answers`,
      )
    }
    const filled = []
    for (const one of both) filled.push(await one.fill())
    await compare(shops, filled)
  }
  finally {
    for (const { shop } of both) await shop.close()
  }
}

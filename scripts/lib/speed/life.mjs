import { ensureBuild } from '../build.mjs'
import { fillColdRoom, layLongLot } from './busy-room.mjs'
import { openGrownShop } from './grown-shop.mjs'
import { inTurn, LONG_UP } from './in-turn.mjs'

const SIZES = [40, 4000]
const CALLS = 40

/** What a maker tells, each time of another lot: two of one kind within ten minutes would be asked about. */
const PRESSES = {
  'a turn': { kind: 'turn', how: 'turned', face: null },
  'a draining': {
    kind: 'drain',
    how: 'poured_off',
    liquid: { told: 'weighed', weight: '4 g' },
    back: false,
    saltLies: false,
  },
  'a look': { kind: 'look', feel: 'edges_firm', note: null },
}
const press = (code, step, when) => ({ steps: [step], lots: [{ code, pieces: null }], when })
const WHEN = { 'now': { told: 'now' }, 'told two hours late': { told: 'ago', minutes: 120 } }

/** The floor with forty lots in the cure, and what each press costs there, in a young shop and in one of ten years. */
export async function measureLife(sizes = SIZES) {
  const { entry } = await ensureBuild()
  const shops = []
  try {
    for (const lots of sizes) shops.push(await openGrownShop(entry, lots))
    const codes = await Promise.all(shops.map(shop => fillColdRoom(shop.owner)))
    const say = (name, rows) =>
      console.log(
        `    ${name.padEnd(36)} ${rows
          .map(row => `${row.ms.toFixed(1)} (worst ${row.worst.toFixed(1)}), ${(row.bytes / 1000).toFixed(1)} kB, ${row.asked.toFixed(0)}`)
          .join('   ')}`,
      )
    console.log(
      `  40 more lots of 6 pieces and 30 steps, in shops of ${sizes.join(' and ')} lots: `
      + `median ms of ${CALLS}, kB over the line, statements`,
    )
    say('the floor', await inTurn(shops, shops.map(() => who => who.get('/api/floor')), CALLS, LONG_UP))
    const long = await Promise.all(shops.map(shop => layLongLot(shop.owner)))
    say('a lot, 12 pieces, 60 steps', await inTurn(shops, long.map(code => who => who.get(`/api/lots/${code}`)), CALLS))
    for (const [told, when] of Object.entries(WHEN)) {
      for (const [name, step] of Object.entries(PRESSES)) {
        const turns = shops.map(() => 0)
        const asks = codes.map((list, i) => who =>
          who.post('/api/steps', { ...press(list[turns[i]++ % list.length], step, when), again: true }))
        say(`${name}, ${told}`, await inTurn(shops, asks, CALLS))
      }
    }
  }
  finally {
    for (const shop of shops) await shop.close()
  }
}

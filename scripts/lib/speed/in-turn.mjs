import { median, sorted } from '../ranks.mjs'

const WARM_UP = 10
/** An application that has been up for a while: Node.js compiles what runs often once it ran some dozen times. */
export const LONG_UP = 60
const most = times => Math.max(0, ...times)

/**
 * Asks the same page of several shops, one after the other and `calls` times round, so that what disturbs the machine
 * disturbs all of them alike. One row a shop: ms of each call, bytes of the last, statements a call, longest stall.
 */
export async function inTurn(shops, asks, calls, warmUp = WARM_UP) {
  const rows = shops.map(() => ({ times: [], bytes: 0, asked: 0, stall: 0 }))
  for (let warm = 0; warm < warmUp; warm++) for (const [i, shop] of shops.entries()) await asks[i](shop.who)
  for (const shop of shops) shop.takeStalls()
  for (let call = 0; call < calls; call++) {
    for (const [i, shop] of shops.entries()) {
      const before = await shop.statements()
      const { ms, bytes } = await asks[i](shop.who)
      // The question for the count is one itself.
      rows[i].asked += ((await shop.statements()) - before - 1) / calls
      rows[i].times.push(ms)
      rows[i].bytes = bytes
      rows[i].stall = most([rows[i].stall, ...shop.takeStalls()])
    }
  }
  return rows.map(row => ({ ...row, ms: median(row.times), worst: sorted(row.times).at(-1) }))
}

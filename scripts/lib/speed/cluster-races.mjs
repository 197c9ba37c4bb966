import { importSource } from '../typescript.mjs'
import { walkBook } from '../walk-book.mjs'

const OWNER = { signIn: 'marit', password: 'bacon-and-brine' }
const MAKER = { signIn: 'tam', password: 'bacon-and-brine' }
const say = (name, text) => console.log(`  ${name.padEnd(58)} ${text}`)

/**
 * Two people at two applications press what cannot both be true, each pair so many times at each gap: how often both were
 * believed, neither, or one was told that we are at fault; and the walk of the book afterwards.
 */
export async function raceCluster(cluster, times = 20) {
  const [{ Client }, { openRoom, restocked }, { GAPS, race, RACES }] = await Promise.all(
    ['tests/support/client.ts', 'tests/support/races/room.ts', 'tests/support/races/pairs.ts'].map(importSource),
  )
  const signedIn = async (app, who) => {
    const client = new Client(app.server.address, cluster.address)
    const { status } = await client.post('/api/session', who)
    if (status !== 200) throw new Error(`${who.signIn} was not let in: ${status}`)
    return client
  }
  const [one, other] = [await signedIn(cluster.apps[0], OWNER), await signedIn(cluster.apps[1], MAKER)]
  // The demo shop names its smoker otherwise.
  await one.post('/api/office/places', { name: 'Smoker', kind: 'smoker' })
  const room = await openRoom(one, other)
  const runs = []
  for (const pair of RACES)
    for (const gapMs of GAPS) {
      const stocked = await restocked(room)
      for (let n = 0; n < times; n++) runs.push(await race(stocked, pair, gapMs))
    }
  const both = runs.filter(run => run.believed > 1)
  const none = runs.filter(run => run.believed === 0)
  const ours = runs.filter(run => run.answers.some(({ status }) => status >= 500))
  say(`${RACES.length} pairs at ${GAPS.join(', ')} ms, ${times} times each`, `${runs.length} races`)
  say('both believed; neither; told "our fault"', `${both.length}; ${none.length}; ${ours.length}`)
  const kinds = some => [...new Set(some.map(run => `${run.name} (${run.answers.map(a => a.code ?? a.status).join(' and ')})`))]
  for (const name of kinds([...both, ...none, ...ours])) console.log(`    ${name}`)
  say('the book', (await walkBook(cluster.adminUrl)).words)
}

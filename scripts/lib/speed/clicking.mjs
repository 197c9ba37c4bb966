import { person } from './person.mjs'

export const PEOPLE = 20
export const CLICKING_MS = 20_000
/** Nobody clicks twenty times a second. */
const THINKING_MS = 300

/** Twenty people who each open one page after the other: ms of every answer, by page. */
export async function clicking(address, pages) {
  const times = new Map(pages.map(page => [page.name, []]))
  // One after another: many tries at one moment close a name.
  const people = []
  for (let i = 0; i < PEOPLE; i++) people.push(await person(address))
  const until = performance.now() + CLICKING_MS
  await Promise.all(
    people.map(async (who, i) => {
      for (let n = i; performance.now() < until; n++) {
        const page = pages[n % pages.length]
        times.get(page.name).push((await page.ask(who)).ms)
        await new Promise(done => setTimeout(done, THINKING_MS))
      }
    }),
  )
  for (const who of people) who.close()
  return times
}

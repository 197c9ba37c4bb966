import { expect, it } from 'vitest'
import { onLanes } from './lanes.mjs'

/** Jobs that write down when they begin and end; each ends when it is told to. */
function jobs(names: Record<string, string[]>) {
  const [log, ends] = [[] as string[], new Map<string, () => void>()]
  const list = Object.entries(names).map(([name, after]) => ({
    name,
    after,
    run: async () => {
      log.push(`+${name}`)
      await new Promise<void>(resolve => ends.set(name, resolve))
      log.push(`-${name}`)
    },
  }))
  const end = async (name: string) => {
    ends.get(name)!()
    await new Promise(resolve => setTimeout(resolve))
  }
  return { log, list, end }
}

it('a free lane takes the first job whose needs are done, and what needs nothing meanwhile', async () => {
  const { log, list, end } = jobs({ build: [], long: ['build'], short: [], last: ['long'] })
  const all = onLanes(2, list)
  await end('short')
  expect(log).toEqual(['+build', '+short', '-short'])
  await end('build')
  await end('long')
  await end('last')
  await all
  expect(log).toEqual(['+build', '+short', '-short', '-build', '+long', '-long', '+last', '-last'])
})
it('a fault ends what waits, not what runs, and is thrown', async () => {
  const { log, list, end } = jobs({ slow: [], next: ['slow'] })
  const broken = { name: 'broken', run: () => Promise.reject(new Error('broken')) }
  const all = onLanes(2, [broken, ...list])
  const said = expect(all).rejects.toThrow('broken')
  await end('slow')
  await said
  expect(log).toEqual(['+slow', '-slow'])
})
it('a need that is no job is told at once', async () => {
  await expect(onLanes(1, [{ name: 'a', after: ['b'], run: () => Promise.resolve() }])).rejects.toThrow('no job is called b')
})

import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, expect, it, vi } from 'vitest'
import { packReadings, type SmokeReading } from '#core/readings/packed-readings'
import { aside, closePool, openPool } from './pool'
import { work } from './tasks'

const folder = mkdtempSync(join(tmpdir(), 'veldmoor-aside-'))
const file = join(folder, 'worker.mjs')
/** Answers with what it was asked and where it is. */
writeFileSync(
  file,
  `import { threadId } from 'node:worker_threads'
   export default ({ name, input }) => {
     if (input.forMs) return new Promise(done => setTimeout(() => done('walked'), input.forMs))
     if (input.count === 4444) throw new RangeError('no such smoke')
     return { name, threadId, shared: input.coreC.buffer instanceof SharedArrayBuffer, last: input.coreC.at(-1) }
   }`,
)
afterEach(closePool)
afterAll(() => rmSync(folder, { recursive: true }))

const readings = (count: number) =>
  packReadings(
    Array.from(
      { length: count },
      (_, i): SmokeReading => ({ phase: 'smoke', atMs: i * 10_000, chamberC: 80, coreC: 4 + i / 100 }),
    ),
  )

it('long work goes to another thread, its readings without a copy; short work stays', async () => {
  openPool(file)
  expect(await aside('smokeLine', readings(5000), 5000)).toMatchObject({
    name: 'smokeLine',
    threadId: expect.not.toSatisfy((id: number) => id === 0),
    shared: true,
    last: 4 + 49.99,
  })
  const few = readings(10)
  expect(await aside('smokeLine', few, 10)).toEqual(await work({ name: 'smokeLine', input: few }))
})
it('no chart waits behind a walk', async () => {
  openPool(file)
  const ended: string[] = []
  const walk = aside('walkBook', { databaseUrl: '', forMs: 1500 } as never).then(() => ended.push('walk'))
  await aside('smokeLine', readings(5000), 5000).then(() => ended.push('chart'))
  await walk
  expect(ended).toEqual(['chart', 'walk'])
})
it('what goes wrong there is told here, and the next one is worked out', async () => {
  openPool(file)
  await expect(aside('smokeLine', readings(4444), 4444)).rejects.toThrow('no such smoke')
  expect(await aside('smokeLine', readings(5000), 5000)).toMatchObject({ last: 4 + 49.99 })
})
it('threads that cannot begin are told, and all is worked out on the spot', async () => {
  const told = vi.spyOn(console, 'error').mockImplementation(() => {})
  const broken = join(folder, 'broken.mjs')
  writeFileSync(broken, 'import "no-such-package"')
  openPool(broken)
  for (const many of [readings(5000), readings(6000)])
    expect((await aside('smokeLine', many, many.count)).count).toBe(many.count)
  expect(told).toHaveBeenCalledOnce()
  told.mockRestore()
})
it('without a pool all is worked out on the spot', async () => {
  const many = readings(5000)
  const line = await aside('smokeLine', many, 5000)
  expect(line.count).toBe(5000)
  expect(line.figures.hottestC).toBeCloseTo(4 + 49.99, 9)
  // Thinned for drawing, the first and the last stay.
  expect(line.points.length).toBeLessThan(700)
  expect([line.points[0]!.atMs, line.points.at(-1)!.atMs]).toEqual([0, 4999 * 10_000])
})

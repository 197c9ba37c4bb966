import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { work, type Input, type Output, type TaskName } from './tasks'

/** Readings that are worked out on the spot: some 10 ms. Handing over costs one. House. */
const ON_THE_SPOT = 3000
const IDLE_MS = 60_000
/** A thread that needs more has met a fault of ours, and is not to take the others along. */
const MOST_MB = 256
const YOUNG_MB = 16

interface Pool {
  /** Threads for what takes a second at most, and for what may take minutes: no chart waits behind a walk. */
  quick: Piscina
  slow: Piscina
  /** Fails when a thread could not even begin: what waits for one would wait for ever. */
  broken: Promise<never>
}
let pool: Pool | null = null

/** Opens threads for long work: one less than there are processors, so that pages go on. */
export function openPool(file: string): void {
  const threads = (maxThreads: number) =>
    new Piscina({
      filename: file,
      minThreads: 0,
      maxThreads,
      idleTimeout: IDLE_MS,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: YOUNG_MB },
    })
  const [quick, slow] = [threads(Math.max(1, availableParallelism() - 1)), threads(1)]
  const broken = new Promise<never>((_resolve, reject) => {
    for (const one of [quick, slow]) one.once('error', reject)
  })
  broken.catch((error: unknown) => {
    console.error('no threads for long work, it is done on the spot from now on:', error)
    void closePool()
  })
  pool = { quick, slow, broken }
}

export async function closePool(): Promise<void> {
  const open = pool
  pool = null
  await Promise.all([open?.quick.destroy(), open?.slow.destroy()])
}

/**
 * Works something out over so many readings, or of any length: long work aside, where a pool is open, so that nobody's
 * page waits for another's chart. Commands that work alone have none.
 */
export async function aside<N extends TaskName>(name: N, input: Input<N>, readings = Infinity): Promise<Output<N>> {
  if (!pool || readings < ON_THE_SPOT) return work({ name, input })
  const { quick, slow, broken } = pool
  const done = (readings === Infinity ? slow : quick).run({ name, input }) as Promise<Output<N>>
  let isBroken = false
  broken.catch(() => (isBroken = true))
  try {
    return await Promise.race([done, broken])
  }
  catch (error) {
    if (!isBroken) throw error
    done.catch(() => {})
    return work({ name, input })
  }
}

import { describe, expect, it } from 'vitest'
import { keepRunning, waitBefore } from './keep-running.mjs'

const server = () => ({
  up: true,
  isRunning() {
    return this.up
  },
})

describe('a server that ends by itself', () => {
  it('is waited for twice as long each time, a minute at most', () => {
    expect([0, 1, 2, 5, 6, 40].map(waitBefore)).toEqual([1000, 2000, 4000, 32_000, 60_000, 60_000])
  })
  it('is started again, and again when that failed, until told to stop', async () => {
    const stop = { why: null as string | null, wake: () => {} }
    const said: string[] = []
    const second = server()
    let tries = 0
    const keeper = {
      name: 'The pump',
      server: server(),
      start: async () => {
        tries += 1
        if (tries === 1) throw new Error('no water\nat all')
        return second
      },
    }
    keeper.server.up = false
    const done = keepRunning(
      [keeper],
      stop,
      (line: string) => {
        said.push(line)
        if (line.includes('up again')) {
          stop.why = 'SIGINT'
          stop.wake()
        }
      },
      { everyMs: 1 },
    )
    // Nobody waits here as long as the shop would.
    const hurry = setInterval(() => stop.wake(), 2)
    await done
    clearInterval(hurry)
    expect(keeper.server).toBe(second)
    expect(said).toEqual([
      'The pump ended by itself; starting it again in 1 s',
      'The pump did not start: no water',
      'The pump ended by itself; starting it again in 2 s',
      'The pump is up again',
    ])
  })
  it('is left alone once stopping has begun', async () => {
    const stop = { why: 'SIGTERM', wake: () => {} }
    await keepRunning(
      [
        {
          name: 'x',
          server: { isRunning: () => false },
          start: () => {
            throw new Error('started')
          },
        },
      ],
      stop,
      () => {
        throw new Error('said')
      },
    )
  })
})

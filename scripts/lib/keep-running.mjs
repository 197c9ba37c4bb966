const FIRST_WAIT_MS = 1000
const LONGEST_WAIT_MS = 60_000
/** Up for so long, a server counts as sound again. */
const SOUND_AFTER_MS = 5 * 60_000

/** How long to wait before a server is started again: each time in a row twice as long, a minute at most. */
export const waitBefore = tries => Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** tries)

/**
 * Watches over servers until it is told to stop, and starts again what ends by itself. A keeper is {name, server,
 * start}: `start` gives a new server, with `isRunning`. `stop` is {why, wake}. `say` gets a line for each thing that
 * happened.
 */
export async function keepRunning(keepers, stop, say, { everyMs = 500, now = Date.now } = {}) {
  const pause = ms =>
    new Promise((resolve) => {
      const timer = setTimeout(resolve, ms)
      stop.wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  const state = new Map(keepers.map(keeper => [keeper, { tries: 0, upMs: now() }]))
  while (stop.why === null) {
    await pause(everyMs)
    for (const keeper of keepers) {
      const mine = state.get(keeper)
      if (stop.why !== null || keeper.server.isRunning()) continue
      if (now() - mine.upMs > SOUND_AFTER_MS) mine.tries = 0
      const waitMs = waitBefore(mine.tries)
      mine.tries += 1
      say(`${keeper.name} ended by itself; starting it again in ${waitMs / 1000} s`)
      await pause(waitMs)
      if (stop.why !== null) break
      try {
        keeper.server = await keeper.start()
        mine.upMs = now()
        say(`${keeper.name} is up again`)
      }
      catch (error) {
        say(`${keeper.name} did not start: ${String(error.message).split('\n')[0]}`)
      }
    }
  }
}

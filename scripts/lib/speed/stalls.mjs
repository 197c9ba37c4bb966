import { isMainThread } from 'node:worker_threads'

/** Loaded into the application that is measured: says when nobody could be answered for longer than a blink. */
const TICK_MS = 5
const BLINK_MS = 20

if (isMainThread) {
  let last = performance.now()
  setInterval(() => {
    const now = performance.now()
    const stalledMs = now - last - TICK_MS
    last = now
    if (stalledMs > BLINK_MS) process.stdout.write(`stalled ${stalledMs.toFixed(0)}\n`)
  }, TICK_MS).unref()
}

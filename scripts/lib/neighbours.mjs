import { readFileSync } from 'node:fs'

/** Jiffies of all processors since the machine started: all kinds together, and those that its host gave to others. */
export function readTicks(text = readFileSync('/proc/stat', 'utf8')) {
  // user, nice, system, idle, iowait, irq, softirq, steal; guest time is counted in user already.
  const kinds = text.split('\n', 1)[0].trim().split(/\s+/).slice(1, 9).map(Number)
  return { all: kinds.reduce((sum, ticks) => sum + ticks, 0), taken: kinds[7] ?? 0 }
}

/**
 * Share of the processors' time, 0 to 1, that went to the machine's neighbours between two readings; 0 when no time
 * passed.
 */
export const shareTaken = (from, to) => (to.all > from.all ? (to.taken - from.taken) / (to.all - from.all) : 0)

/** Starts watching; the answer says in words how much was taken until now. */
export function watchNeighbours() {
  const from = readTicks()
  return () => `neighbours took ${(100 * shareTaken(from, readTicks())).toFixed(0)} %`
}

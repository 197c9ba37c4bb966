import { Readable } from 'node:stream'
import { MS_PER_MINUTE, MS_PER_SECOND } from '#core/units/quantities'
import type { H3Event } from 'h3'
import { logFailure } from './log'

/** A reader that takes nothing for so long has gone, whatever its line says; and no download lasts longer than this. */
const LONGEST_STALL_MS = MS_PER_MINUTE
const LONGEST_MS = 60 * MS_PER_MINUTE
const LOOK_EVERY_MS = 5 * MS_PER_SECOND

/**
 * Sends text as it is made. When making it fails halfway the line is cut, so that half a file does not pass for a whole
 * one. When the reader goes away, stalls or takes too long, the making ends and lets go of its database line. The first
 * part is made before this returns, so that what fails at once is still answered in words.
 */
export async function streamOut(event: H3Event, parts: AsyncGenerator<string>): Promise<Readable> {
  const first = await parts.next()
  const startedMs = performance.now()
  let movedMs = startedMs
  async function* watched(): AsyncGenerator<string> {
    try {
      if (!first.done) yield first.value
      for await (const part of parts) {
        movedMs = performance.now()
        yield part
      }
    }
    finally {
      await parts.return(undefined)
    }
  }
  const { res } = event.node
  const stream = Readable.from(watched())
  const clock = setInterval(() => {
    const nowMs = performance.now()
    if (nowMs - movedMs > LONGEST_STALL_MS || nowMs - startedMs > LONGEST_MS) res.destroy()
  }, LOOK_EVERY_MS)
  const end = () => {
    clearInterval(clock)
    stream.destroy()
  }
  res.once('close', end)
  if (res.closed || res.destroyed) end()
  stream.on('error', (error) => {
    logFailure(error, event)
    res.destroy(error)
  })
  return stream
}

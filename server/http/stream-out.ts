import { Readable } from 'node:stream'
import type { H3Event } from 'h3'

/** Sends text as it is made. When making it fails halfway the line is cut, so that half a file does not pass for a whole one. */
export function streamOut(event: H3Event, parts: AsyncGenerator<string>): Readable {
  const stream = Readable.from(parts)
  stream.on('error', (error) => {
    console.error(error)
    event.node.res.destroy(error)
  })
  return stream
}

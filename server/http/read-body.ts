import type { H3Event } from 'h3'
import { getRequestHeader, setResponseHeader } from 'h3'

/**
 * The body as bytes, null when it is larger than `mostBytes`: one that says so is not read at all, one that lies or
 * says nothing is cut off where it becomes so. What is not read is not waited for: the line is closed.
 */
export async function readBody(event: H3Event, mostBytes: number): Promise<Buffer | null> {
  const tooLarge = () => {
    setResponseHeader(event, 'connection', 'close')
    return null
  }
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > mostBytes) return tooLarge()
  const parts: Buffer[] = []
  let bytes = 0
  for await (const part of event.node.req) {
    bytes += (part as Buffer).length
    if (bytes > mostBytes) return tooLarge()
    parts.push(part as Buffer)
  }
  return Buffer.concat(parts)
}

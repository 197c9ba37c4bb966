import type { H3Event } from 'h3'
import { getRequestHeader } from 'h3'
import { LARGEST_FILE_BYTES } from '#shared/contracts/files'
import { refuse, type Answer } from '../services/context'

/** The body as bytes. One that says it is too large is not read at all; one that lies is cut off where it becomes so. */
export async function readBytes(event: H3Event): Promise<Answer<Buffer>> {
  const tooLarge = refuse('file_too_large', { bytes: LARGEST_FILE_BYTES })
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > LARGEST_FILE_BYTES) return tooLarge
  const parts: Buffer[] = []
  let bytes = 0
  for await (const part of event.node.req) {
    bytes += (part as Buffer).length
    if (bytes > LARGEST_FILE_BYTES) return tooLarge
    parts.push(part as Buffer)
  }
  return { ok: true, value: Buffer.concat(parts) }
}

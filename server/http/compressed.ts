import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'
import { appendResponseHeader, getRequestHeader, setResponseHeader, type H3Event } from 'h3'

/** Smaller than this goes out in one packet either way. */
const LEAST_BYTES = 1400
/** Fast: a page's answer is made for one reader. */
const BROTLI_QUALITY = 4
const GZIP_LEVEL = 5

const encoders = {
  br: (content: Buffer) =>
    promisify(brotliCompress)(content, {
      params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY, [constants.BROTLI_PARAM_SIZE_HINT]: content.length },
    }),
  gzip: (content: Buffer) => promisify(gzip)(content, { level: GZIP_LEVEL }),
}

/** The better encoding that a browser takes; one refused with "q=0" is not taken. Source: RFC 9110, 12.5.3. */
export function encodingFor(accepted: string): keyof typeof encoders | null {
  const taken = new Set(
    accepted
      .toLowerCase()
      .split(',')
      .map(one => one.trim())
      .filter(one => !/;\s*q=0(\.0*)?$/.test(one))
      .map(one => one.split(';')[0]!.trim()),
  )
  return taken.has('br') ? 'br' : taken.has('gzip') ? 'gzip' : null
}

/**
 * An answer as JSON, compressed off the main thread where the browser takes that. Not for secrets beside what a
 * stranger may choose.
 */
export async function sendJson(event: H3Event, value: unknown): Promise<Buffer> {
  const content = Buffer.from(JSON.stringify(value))
  setResponseHeader(event, 'content-type', 'application/json')
  appendResponseHeader(event, 'vary', 'accept-encoding')
  const encoding = content.length < LEAST_BYTES ? null : encodingFor(getRequestHeader(event, 'accept-encoding') ?? '')
  if (encoding === null) return content
  setResponseHeader(event, 'content-encoding', encoding)
  return await encoders[encoding](content)
}

import { randomUUID } from 'node:crypto'
import http from 'node:http'
import { brotliDecompressSync, gunzipSync } from 'node:zlib'

const UNPACK = { br: brotliDecompressSync, gzip: gunzipSync }
const unpacked = (answer, content) => UNPACK[answer.headers['content-encoding']]?.(content) ?? content

/**
 * A signed-in person's requests; each answer with its time, how much came over the line, and its
 * content when it is asked for.
 */
export async function person(address) {
  const { hostname, port } = new URL(address)
  const agent = new http.Agent({ keepAlive: true })
  let cookie = ''
  const ask = (method, path, body) =>
    new Promise((resolve, reject) => {
      const content = body === undefined ? null : JSON.stringify(body)
      const began = performance.now()
      const headers = {
        'origin': address,
        'accept-encoding': 'gzip, br',
        cookie,
        ...(content
          ? {
              'content-type': 'application/json',
              'content-length': Buffer.byteLength(content),
              'idempotency-key': randomUUID(),
            }
          : {}),
      }
      const request = http.request({ hostname, port, path, method, agent, headers }, (answer) => {
        let bytes = 0
        const parts = []
        answer.on('data', (part) => {
          bytes += part.length
          parts.push(part)
        })
        answer.on('end', () =>
          answer.statusCode < 400
            ? resolve({
                ms: performance.now() - began,
                bytes,
                cookies: answer.headers['set-cookie'] ?? [],
                read: () => JSON.parse(unpacked(answer, Buffer.concat(parts))),
              })
            : reject(new Error(`${method} ${path}: ${answer.statusCode} ${Buffer.concat(parts).subarray(0, 300)}`)),
        )
        answer.on('error', reject)
      })
      request.on('error', reject)
      request.end(content ?? undefined)
    })
  const { cookies } = await ask('POST', '/api/session', { signIn: 'marit', password: 'bacon-and-brine' })
  cookie = cookies.map(one => one.split(';')[0]).join('; ')
  return { get: path => ask('GET', path), post: (path, body) => ask('POST', path, body), close: () => agent.destroy() }
}

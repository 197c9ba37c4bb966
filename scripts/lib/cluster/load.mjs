import { randomUUID } from 'node:crypto'
import http from 'node:http'

/** A request's patience: a line that hangs is given up, and tried again under the same key. */
const PATIENCE_MS = 8000
const PAUSE_MS = 60
const sleep = ms => new Promise(resolve => setTimeout(resolve, ms))

/**
 * One request; what went wrong with the line is status 0. `origin` is where the pages come from.
 *
 * @param {{ address: string, origin: string, agent: http.Agent, method: string, path: string, body?: unknown,
 *   key?: string, cookie?: string }} q
 * @returns {Promise<{ status: number, cookie?: string, body?: any }>}
 */
function ask({ address, origin, agent, method, path, body, key, cookie }) {
  const { hostname, port } = new URL(address)
  const content = body === undefined ? '' : JSON.stringify(body)
  return new Promise((resolve) => {
    const request = http.request(
      {
        hostname,
        port,
        path,
        method,
        agent,
        timeout: PATIENCE_MS,
        headers: {
          origin,
          ...(content ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(content) } : {}),
          ...(key ? { 'idempotency-key': key } : {}),
          ...(cookie ? { cookie } : {}),
        },
      },
      (answer) => {
        let text = ''
        answer.on('data', chunk => (text += chunk))
        answer.on('error', () => resolve({ status: 0 }))
        answer.on('end', () => {
          const cookies = answer.headers['set-cookie']?.map(one => one.split(';')[0]).join('; ')
          const json = /json/.test(answer.headers['content-type'] ?? '')
          resolve({ status: answer.statusCode, cookie: cookies, body: json ? JSON.parse(text) : text })
        })
      },
    )
    request.on('timeout', () => request.destroy(new Error('given up')))
    request.on('error', () => resolve({ status: 0 }))
    request.end(content)
  })
}

/** People who write, each one record after the other until it is acknowledged, under one key however often it is sent. */
export async function openLoad({ addresses, origin }, people, who) {
  const agent = new http.Agent({ keepAlive: true, maxSockets: 64 })
  /** Key to the record's number, and when it was acknowledged. */
  const acknowledged = new Map()
  const times = []
  const answers = new Map()
  const cookies = []
  for (let i = 0; i < people; i++) {
    const address = addresses[i % addresses.length]
    const reply = await ask({ address, origin, agent, method: 'POST', path: '/api/session', body: who, key: randomUUID() })
    if (reply.status !== 200) throw new Error(`sign-in: ${reply.status} ${JSON.stringify(reply.body)}`)
    cookies.push(reply.cookie)
  }
  let going = true
  const count = status => answers.set(status, (answers.get(status) ?? 0) + 1)
  const writer = async (cookie, i) => {
    const address = addresses[i % addresses.length]
    while (going) {
      const key = randomUUID()
      const body = { temperature: { typed: `${2 + (i % 10) / 10}`, unit: 'C' } }
      for (;;) {
        const path = '/api/fridges/1/readings'
        const reply = await ask({ address, origin, agent, method: 'POST', path, body, key, cookie })
        count(reply.status)
        if (reply.status === 200) {
          acknowledged.set(key, reply.body.eventId)
          times.push(Date.now())
          break
        }
        if (reply.status >= 400 && reply.status < 500) throw new Error(`${reply.status} ${JSON.stringify(reply.body)}`)
        await sleep(PAUSE_MS * (0.5 + Math.random()))
      }
    }
  }
  const ended = cookies.map(writer)
  return {
    acknowledged,
    answers,
    /** The longest time without an acknowledged record that began after a moment, or went over it; seconds. */
    pauseAfter: (fromMs) => {
      const after = [fromMs, ...times.filter(ms => ms > fromMs)]
      return Math.max(...after.slice(1).map((ms, i) => ms - after[i])) / 1000
    },
    stop: async () => {
      going = false
      await Promise.all(ended)
      agent.destroy()
    },
  }
}

/** Pages a second that many people get, who look at one as fast as it comes. */
export async function readsASecond({ address, origin }, cookie, path, people, seconds) {
  const agent = new http.Agent({ keepAlive: true, maxSockets: 64 })
  const endMs = Date.now() + seconds * 1000
  let got = 0
  await Promise.all(
    Array.from({ length: people }, async () => {
      while (Date.now() < endMs) if ((await ask({ address, origin, agent, method: 'GET', path, cookie })).status === 200) got += 1
    }),
  )
  agent.destroy()
  return got / seconds
}

export const signIn = async ({ address, origin }, who) => {
  const agent = new http.Agent()
  const reply = await ask({ address, origin, agent, method: 'POST', path: '/api/session', body: who, key: randomUUID() })
  agent.destroy()
  if (reply.status !== 200) throw new Error(`sign-in: ${reply.status}`)
  return reply.cookie
}

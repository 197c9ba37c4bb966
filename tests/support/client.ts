import { randomUUID } from 'node:crypto'

export interface Reply { status: number, body: any, type: string }

/** A browser's manners over plain HTTP: keeps its cookie, names its origin, gives every write a key. */
export class Client {
  cookie = ''
  constructor(readonly address: string) {}

  async send(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Reply> {
    const answer = await fetch(this.address + path, {
      method,
      headers: {
        'origin': this.address, 'idempotency-key': randomUUID(), ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    for (const cookie of answer.headers.getSetCookie()) this.cookie = cookie.split(';')[0]!
    const text = await answer.text()
    const type = answer.headers.get('content-type') ?? ''
    return { status: answer.status, type, body: type.includes('json') ? JSON.parse(text) : text }
  }

  get = (path: string) => this.send('GET', path)
  put = (path: string, body: unknown) => this.send('PUT', path, body)
  post = (path: string, body: unknown, headers?: Record<string, string>) => this.send('POST', path, body, headers)
}

import { randomUUID } from 'node:crypto'

export interface Reply {
  status: number
  body: any
  type: string
}

/** A browser's manners over plain HTTP: keeps its cookie, names its origin, gives every write a key. */
export class Client {
  /** All cookies that came, by name. */
  private readonly jar = new Map<string, string>()
  get cookie(): string {
    return [...this.jar].map(([name, value]) => `${name}=${value}`).join('; ')
  }

  set cookie(text: string) {
    this.jar.clear()
    for (const one of text.split('; ').filter(Boolean))
      this.jar.set(one.slice(0, one.indexOf('=')), one.slice(one.indexOf('=') + 1))
  }

  /** `origin`: the address under which the shop is known, where it lies before that of the process. */
  constructor(readonly address: string, readonly origin?: string) {}

  /** The same browser with the end of its sign-in changed. */
  forged(): Client {
    const other = new Client(this.address, this.origin)
    other.cookie = [...this.jar]
      .map(([name, value]) => `${name}=${name.endsWith('-session') ? `${value.slice(0, -6)}AAAAAA` : value}`)
      .join('; ')
    return other
  }

  /** Asked why it goes against a plan, it says so at once: tests do in a minute what takes a shop weeks. */
  async send(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Reply> {
    const reply = await this.sendOnce(method, path, body, headers)
    if (reply.body?.code !== 'against_plan' || !this.saysWhy) return reply
    return this.sendOnce(method, path, { ...(body as object), despite: 'as this test has it' }, headers)
  }

  /** False for a test of the question itself. */
  saysWhy = true

  private async sendOnce(method: string, path: string, body: unknown, headers: Record<string, string>): Promise<Reply> {
    const answer = await fetch(this.address + path, {
      method,
      headers: {
        'origin': this.origin ?? this.address,
        'idempotency-key': randomUUID(),
        ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    for (const cookie of answer.headers.getSetCookie()) {
      const [pair = ''] = cookie.split(';')
      this.jar.set(pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1))
    }
    const text = await answer.text()
    const type = answer.headers.get('content-type') ?? ''
    return { status: answer.status, type, body: type.includes('json') ? JSON.parse(text) : text }
  }

  get = (path: string) => this.send('GET', path)
  put = (path: string, body: unknown) => this.send('PUT', path, body)
  post = (path: string, body: unknown, headers?: Record<string, string>) => this.send('POST', path, body, headers)
}

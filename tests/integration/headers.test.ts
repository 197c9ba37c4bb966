import { createHash } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
beforeAll(async () => {
  shop = await openTestShop({ kept: false })
})
afterAll(() => shop.close())

const scriptsFrom = (policy: string) =>
  policy
    .split(';')
    .map(one => one.trim())
    .find(one => one.startsWith('script-src'))!

describe('what a browser is told with each page', () => {
  it('runs our own scripts and no other: each inline one is named by its hash', async () => {
    for (const path of ['/', '/sign-in', '/store']) {
      const answer = await fetch(shop.address + path)
      const html = await answer.text()
      const policy = scriptsFrom(answer.headers.get('content-security-policy')!)
      expect(policy).not.toMatch(/unsafe-inline|unsafe-eval|https?:|\*/)
      const inline = [...html.matchAll(/<script(?![^>]*\bsrc=)([^>]*)>([\s\S]*?)<\/script>/g)].filter(
        ([, kind]) => !/application\/json|importmap/.test(kind!),
      )
      for (const [, , text] of inline)
        expect(policy).toContain(`'sha256-${createHash('sha256').update(text!).digest('base64')}'`)
      for (const name of [
        'cross-origin-opener-policy',
        'cross-origin-resource-policy',
        'permissions-policy',
        'x-content-type-options',
      ])
        expect(answer.headers.get(name), name).toBeTruthy()
      expect(answer.headers.get('strict-transport-security')).toBeNull()
      expect(answer.headers.get('cache-control')).toBe('no-store')
      expect(answer.headers.get('content-security-policy')).not.toContain('unsafe')
      const [, nonce] = /name="style-nonce" content="([^"]+)"/.exec(html)!
      expect(answer.headers.get('content-security-policy')).toContain(`style-src 'self' 'nonce-${nonce}'`)
    }
  })
  it('over https: stay there, and a cookie that no other site of the domain can set', async () => {
    const behind = await shop.another({ PUBLIC_ORIGIN: 'https://shop.example', SECURE_COOKIES: '1' })
    const answer = await fetch(`${behind.address}/api/session`, {
      method: 'POST',
      headers: { 'origin': 'https://shop.example', 'content-type': 'application/json' },
      body: JSON.stringify(MAKER),
    })
    expect(answer.status).toBe(200)
    const cookies = answer.headers.getSetCookie()
    expect(cookies.length).toBeGreaterThanOrEqual(2)
    for (const cookie of cookies) expect(cookie).toMatch(/^__Host-veldmoor-.*; Secure/)
    expect((await fetch(behind.address)).headers.get('strict-transport-security')).toMatch(/max-age=\d{7,}/)
    await behind.stop()
  })
  it('two shops on one computer keep their sign-ins apart', async () => {
    const other = await openTestShop({ kept: false })
    const name = (cookie: string) => cookie.split('=')[0]
    const [one, two] = [await shop.signedIn(OWNER), await other.signedIn(OWNER)]
    expect(name(one.cookie)).not.toBe(name(two.cookie))
    const both = Object.assign(shop.client(), { cookie: `${one.cookie}; ${two.cookie}` })
    expect((await both.get('/api/store')).status).toBe(200)
    await other.close()
  })
})

import type { NitroApp } from 'nitropack'
import { hash } from 'node:crypto'
import { setResponseHeader } from 'h3'
import { appState } from '../http/app-state'

const INLINE = /<script(?![^>]*\bsrc=)([^>]*)>([\s\S]*?)<\/script>/g
/** Data beside the page is not run. */
const isRun = (attributes: string): boolean => !/type="application\/json"/.test(attributes)
const HSTS = 'max-age=31536000; includeSubDomains'

/** What a page may run: our own files, and the one start script that stands in it, by its hash. */
export function policyFor(html: string): string {
  const hashes = [...html.matchAll(INLINE)]
    .filter(([, attributes]) => isRun(attributes!))
    .map(([, , script]) => `'sha256-${hash('sha256', script!, 'base64')}'`)
  return [
    'default-src \'self\'',
    'img-src \'self\' data: blob:',
    'font-src \'self\' data:',
    'style-src \'self\' \'unsafe-inline\'',
    ['script-src \'self\'', ...new Set(hashes)].join(' '),
    'worker-src \'self\' blob:',
    'connect-src \'self\'',
    'object-src \'none\'',
    'frame-ancestors \'none\'',
    'base-uri \'none\'',
    'form-action \'self\'',
  ].join('; ')
}

/** Pages are the same text for everyone: looked at once. */
let known: { html: string; policy: string } | null = null

export default (nitro: NitroApp) => {
  nitro.hooks.hook('request', (event) => {
    if (appState().settings.secureCookies) setResponseHeader(event, 'strict-transport-security', HSTS)
  })
  nitro.hooks.hook('render:response', (response) => {
    const html = String(response.body ?? '')
    if (known?.html !== html) known = { html, policy: policyFor(html) }
    response.headers = { ...response.headers, 'content-security-policy': known.policy, 'cache-control': 'no-cache' }
    delete response.headers['x-powered-by']
  })
}

import type { NitroApp } from 'nitropack'
import { hash, randomBytes } from 'node:crypto'
import { setResponseHeader } from 'h3'
import { appState } from '../http/app-state'

const INLINE = /<script(?![^>]*\bsrc=)([^>]*)>([\s\S]*?)<\/script>/g
/** Data beside the page is not run. */
const isRun = (attributes: string): boolean => !/type="application\/json"/.test(attributes)
const HSTS = 'max-age=31536000; includeSubDomains'

/** Stands in the page's head, where the interface's one sheet of colours takes it from. */
const NONCE_PLACE = /(<meta name="style-nonce" content=")[^"]*"/

/** The chart library lays an empty sheet into the page and puts its rules in by script: the hash of no text at all. */
const EMPTY_SHEET = '\'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU=\''

/**
 * What a page may run: our own files, and the one start script that stands in it, by its hash; what colours it: our own
 * files, and the sheet that is made in the browser, by a number of this answer alone.
 */
export function policyFor(html: string, nonce: string): string {
  const hashes = [...html.matchAll(INLINE)]
    .filter(([, attributes]) => isRun(attributes!))
    .map(([, , script]) => `'sha256-${hash('sha256', script!, 'base64')}'`)
  return [
    'default-src \'self\'',
    'img-src \'self\' data: blob:',
    'font-src \'self\' data:',
    `style-src 'self' 'nonce-${nonce}' ${EMPTY_SHEET}`,
    ['script-src \'self\'', ...new Set(hashes)].join(' '),
    'worker-src \'self\' blob:',
    'connect-src \'self\'',
    'object-src \'none\'',
    'frame-ancestors \'none\'',
    'base-uri \'none\'',
    'form-action \'self\'',
  ].join('; ')
}

export default (nitro: NitroApp) => {
  nitro.hooks.hook('request', (event) => {
    if (appState().settings.secureCookies) setResponseHeader(event, 'strict-transport-security', HSTS)
  })
  nitro.hooks.hook('render:response', (response) => {
    const nonce = randomBytes(18).toString('base64')
    const html = String(response.body ?? '').replace(NONCE_PLACE, `$1${nonce}"`)
    response.body = html
    const policy = policyFor(html, nonce)
    // A page that was kept has a number of its own: the one in its head and the one beside it go together.
    response.headers = { ...response.headers, 'content-security-policy': policy, 'cache-control': 'no-store' }
    delete response.headers['x-powered-by']
  })
}

import { getRequestHeader, type H3Event } from 'h3'
import { appState } from './app-state'

/** Names by which a browser on this computer reaches us: another page cannot take them on. */
const LOOPBACK = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/

/**
 * A write must come from our own pages: browsers name the origin of every POST, and newer ones say whether it is the
 * page's own. Where no public address was set only loopback names are ours, so that a foreign name that points here
 * opens nothing.
 */
export function isSameOrigin(event: H3Event): boolean {
  const [origin, host, site] = [
    getRequestHeader(event, 'origin'),
    getRequestHeader(event, 'host') ?? '',
    getRequestHeader(event, 'sec-fetch-site'),
  ]
  if (!origin || (site !== undefined && site !== 'same-origin')) return false
  const { publicOrigin } = appState().settings
  return publicOrigin !== null ? origin === publicOrigin : LOOPBACK.test(host) && origin === `http://${host}`
}

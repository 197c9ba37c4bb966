import { isIP } from 'node:net'
import { getRequestHeader, getRequestIP, type H3Event } from 'h3'
import { appState } from './app-state'

/**
 * Where a request comes from, for counting wrong tries. Each web server before us adds at the end of X-Forwarded-For
 * who spoke to it; what stands before those entries anyone may have written, so it is not looked at.
 */
export function addressOf(event: H3Event): string {
  const { proxies } = appState().settings
  const told = (getRequestHeader(event, 'x-forwarded-for') ?? '').split(',').map(entry => entry.trim())
  const forwarded = proxies > 0 ? told.at(-proxies) : undefined
  return forwarded && isIP(forwarded) ? forwarded : (getRequestIP(event) ?? 'unknown')
}

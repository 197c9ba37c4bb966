import { readFileSync } from 'node:fs'

/** What the driver is told of an encrypted line. */
export interface Tls {
  ca?: string
  rejectUnauthorized: true
}

/**
 * How an address wants its line: with `?tls=system` or `?tls=/path/ca.pem` it is encrypted, and the server has to show a
 * certificate for its name, by an authority of the system or of that file. Without, it is plain, as on loopback. Throws
 * where the file cannot be read.
 */
export function tlsOf(address: string): { url: string; ssl: Tls | null } {
  const url = new URL(address)
  const tls = url.searchParams.get('tls')
  if (tls === null) return { url: address, ssl: null }
  url.searchParams.delete('tls')
  return {
    url: url.toString(),
    ssl: { ...(tls === 'system' ? {} : { ca: readFileSync(tls, 'utf8') }), rejectUnauthorized: true },
  }
}

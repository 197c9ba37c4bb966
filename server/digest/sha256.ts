import { createHmac, hash } from 'node:crypto'

/** SHA-256 of a text in UTF-8 or of bytes, as lower-case hex: what the book's chain and the files are held by. */
export const sha256 = (content: string | Buffer): string => hash('sha256', content)

/**
 * A digest that only who holds the key can make: of what may hold a password, which a plain one would give away to
 * whoever tries many.
 */
export const keyedDigest = (key: string, text: string): string => createHmac('sha256', key).update(text).digest('hex')

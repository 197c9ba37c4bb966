import { hash } from 'node:crypto'

/** SHA-256 of a text in UTF-8 or of bytes, as lower-case hex: what the book's chain and the files are held by. */
export const sha256 = (content: string | Buffer): string => hash('sha256', content)

import { describe, expect, it } from 'vitest'
import { encodingFor } from './compressed'

describe('which encoding a browser takes', () => {
  it.each([
    ['gzip, deflate, br', 'br'],
    ['gzip', 'gzip'],
    ['GZIP;q=0.5', 'gzip'],
    ['br;q=0, gzip', 'gzip'],
    ['br;q=0.0,gzip;q=0', null],
    ['identity', null],
    ['', null],
    ['*', null],
    ['br;q=0.001', 'br'],
  ])('"%s": %s', (accepted, encoding) => expect(encodingFor(accepted)).toBe(encoding))
})

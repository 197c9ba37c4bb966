import { describe, expect, it } from 'vitest'
import { readSettings } from './settings'

const ENV = { DATABASE_URL: 'mariadb://a:b@127.0.0.1/veldmoor', SESSION_SECRET: 's'.repeat(32) }

describe('what the process was told', () => {
  it('the usual, when nothing more was said', () =>
    expect(readSettings(ENV)).toEqual({
      databaseUrl: ENV.DATABASE_URL,
      sessionSecret: ENV.SESSION_SECRET,
      demo: false,
      poolSize: 4,
      secureCookies: false,
      proxies: 0,
      publicOrigin: null,
      setupCode: null,
      dataFolder: null,
      locksChecked: false,
    }))
  it('an empty setting is one that was left at its default', () =>
    expect(readSettings({ ...ENV, DATABASE_POOL: '', PROXIES: '', SECURE_COOKIES: '' })).toMatchObject({
      poolSize: 4,
      proxies: 0,
      secureCookies: false,
    }))
  it('refuses to start without a database, or with a secret that is too short', () => {
    expect(() => readSettings({ SESSION_SECRET: ENV.SESSION_SECRET })).toThrow('DATABASE_URL is not set')
    for (const SESSION_SECRET of ['', 's'.repeat(31)])
      expect(() => readSettings({ ...ENV, SESSION_SECRET })).toThrow('32 characters or more')
  })
  it('takes the address of the pages whole, and safe cookies only with one that is safe', () => {
    expect(readSettings({ ...ENV, PUBLIC_ORIGIN: 'https://shop.example/' }).publicOrigin).toBe('https://shop.example')
    for (const PUBLIC_ORIGIN of [
      'shop.example',
      'ftp://shop.example',
      'https://shop.example/path',
      'https://user@shop.example',
    ])
      expect(() => readSettings({ ...ENV, PUBLIC_ORIGIN })).toThrow('PUBLIC_ORIGIN must be')
    expect(() => readSettings({ ...ENV, SECURE_COOKIES: '1' })).toThrow('PUBLIC_ORIGIN=https')
    expect(() => readSettings({ ...ENV, SECURE_COOKIES: '1', PUBLIC_ORIGIN: 'http://shop.example' })).toThrow(
      'PUBLIC_ORIGIN=https',
    )
    expect(readSettings({ ...ENV, SECURE_COOKIES: '1', PUBLIC_ORIGIN: 'https://shop.example' }).secureCookies).toBe(
      true,
    )
  })
  it('refuses a number of web servers that is none', () => {
    expect(readSettings({ ...ENV, PROXIES: '2' }).proxies).toBe(2)
    for (const PROXIES of ['-1', '1.5', '10', 'one'])
      expect(() => readSettings({ ...ENV, PROXIES })).toThrow('PROXIES must be')
  })
})

import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { STARTER_PLANS } from '#core/plan/starters'
import type { Client } from '../support/client'
import { rub, stock } from '../support/goods'
import { must } from '../support/must'
import { confirm, INSPECTOR, MAKER, openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let maker: Client
let owner: Client
let code: string

beforeAll(async () => {
  shop = await openTestShop({ kept: false })
  owner = await shop.signedIn(OWNER)
  maker = await shop.signedIn(MAKER)
  const s = await stock(maker, { weight: '40 kg' })
  code = (await must(maker.post('/api/lots', rub(s, { plan: STARTER_PLANS.rack })))).code
})
afterAll(() => shop.close())

/** Whoever finds a device open makes no address on it: the password is asked for. */
const link = async (): Promise<string> => {
  await confirm(maker, MAKER)
  return (await must(maker.post('/api/me/calendar', {}))).path
}
const feed = async (path: string) => {
  const reply = await fetch(`${shop.address}${path}`)
  return {
    status: reply.status,
    type: reply.headers.get('content-type'),
    cache: reply.headers.get('cache-control'),
    text: await reply.text(),
  }
}
/** RFC 5545 folds long lines. */
const linesOf = (text: string) => text.replace(/\r\n[ \t]/g, '').split('\r\n')
const uids = (text: string) => linesOf(text).filter(line => line.startsWith('UID:'))

describe('the calendar', () => {
  it('opens by its address alone, and holds the work of the lots with reminders', async () => {
    const path = await link()
    const { status, type, cache, text } = await feed(path)
    expect([status, type, cache]).toEqual([200, 'text/calendar; charset=utf-8', 'private, no-store'])
    const lines = linesOf(text)
    expect([lines[0], lines.filter(Boolean).at(-1)]).toEqual(['BEGIN:VCALENDAR', 'END:VCALENDAR'])
    const summaries = lines.filter(line => line.startsWith('SUMMARY:'))
    expect(summaries).toContain(`SUMMARY:${code}: turn`)
    expect(summaries).toContain(`SUMMARY:${code}: pour off`)
    expect(summaries).toContain(`SUMMARY:${code}: take it out`)
    expect(lines.filter(line => line === 'BEGIN:VALARM')).toHaveLength(summaries.length)
    expect(lines.some(line => line.startsWith('LOCATION:'))).toBe(true)
    expect(new Set(uids(text)).size).toBe(summaries.length)
    // Neither the figure nor the words of a cure.
    expect(text).not.toMatch(/ppm|nitrite|customer|sebbo/i)
  })
  it('an entry stays the same one from fetch to fetch, and is gone once it is done', async () => {
    const path = await link()
    const before = uids((await feed(path)).text)
    expect(uids((await feed(path)).text)).toEqual(before)
    await must(maker.post('/api/steps', { steps: [{ kind: 'out', rinses: 1 }], lots: [{ code, pieces: null }], when: { told: 'now' } }))
    const after = (await feed(path)).text
    expect(after).not.toContain(`SUMMARY:${code}: turn`)
    expect(after).toContain(`SUMMARY:${code}: dry`)
  })
  it('keeps the hash of its address alone', async () => {
    const path = await link()
    const token = /calendar\/(.*)\.ics/.exec(path)![1]!
    expect(token.length).toBeGreaterThanOrEqual(43)
    const rows = await shop.sql<{ text: string }>('SELECT token_hash AS text FROM calendar_links')
    const kept = [
      ...rows,
      ...(await shop.sql<{ text: string }>('SELECT typed AS text FROM events')),
      ...(await shop.sql<{ text: string }>('SELECT computed AS text FROM events')),
      ...(await shop.sql<{ text: string }>('SELECT COALESCE(answer, \'\') AS text FROM answers')),
    ]
    expect(kept.length).toBeGreaterThan(3)
    expect(kept.filter(row => row.text.includes(token))).toEqual([])
  })
  it('a new address ends the one before; ended, none opens; the book tells of each', async () => {
    const [first, second] = [await link(), await link()]
    expect((await feed(first)).status).toBe(404)
    expect((await feed(second)).status).toBe(200)
    expect((await must(maker.get('/api/me/calendar'))).link.seenAtMs).not.toBeNull()
    await must(maker.post('/api/me/calendar/end', {}))
    expect((await feed(second)).status).toBe(404)
    expect((await must(maker.get('/api/me/calendar'))).link).toBeNull()
    expect(await maker.post('/api/me/calendar/end', {})).toMatchObject({ body: { code: 'no_calendar_link' } })
    const told = await shop.sql<{ kind: string }>('SELECT kind FROM events WHERE kind LIKE \'calendar%\' ORDER BY id DESC LIMIT 2')
    expect(told.map(event => event.kind)).toEqual(['calendar_ended', 'calendar_linked'])
  })
  it('ends with the account of whose it is', async () => {
    const path = await link()
    await must(owner.post('/api/me/confirm', { password: OWNER.password }))
    const people = (await must(owner.get('/api/office/people'))).people
    const me = people.find((person: { role: string }) => person.role === 'maker')
    const body = { name: me.name, initials: me.initials, role: 'maker' }
    await must(owner.put(`/api/office/people/${me.id}`, { ...body, active: false }))
    expect((await feed(path)).status).toBe(404)
    await must(owner.put(`/api/office/people/${me.id}`, { ...body, active: true }))
  })
  it('is in the owner\'s list, and ended from there; by a new password and another role too', async () => {
    maker = await shop.signedIn(MAKER)
    const path = await link()
    const { calendars, people } = await must(owner.get('/api/office/people'))
    expect(calendars).toEqual([{ id: expect.any(Number), who: 'maker person', atMs: expect.any(Number), seenAtMs: null }])
    expect((await must(maker.get('/api/office/people'))).calendars).toEqual([])
    expect(await maker.post(`/api/office/calendars/${calendars[0].id}/end`, {})).toMatchObject({ status: 403 })
    await must(owner.post(`/api/office/calendars/${calendars[0].id}/end`, {}))
    expect((await feed(path)).status).toBe(404)
    const me = people.find((person: { role: string }) => person.role === 'maker')
    const body = { name: me.name, initials: me.initials, active: true }
    await must(owner.post('/api/me/confirm', { password: OWNER.password }))
    const again = await link()
    await must(owner.put(`/api/office/people/${me.id}`, { ...body, role: 'inspector' }))
    expect((await feed(again)).status).toBe(404)
    await must(owner.put(`/api/office/people/${me.id}`, { ...body, role: 'maker' }))
    maker = await shop.signedIn(MAKER)
    const third = await link()
    await must(owner.put(`/api/office/people/${me.id}/password`, { password: MAKER.password }))
    expect((await feed(third)).status).toBe(404)
    maker = await shop.signedIn(MAKER)
  })
  it('asked too often, it says how long to wait', async () => {
    const path = await link()
    const answers = await Promise.all(Array.from({ length: 40 }, () => fetch(`${shop.address}${path}`)))
    const late = answers.filter(answer => answer.status === 429)
    expect(late.length).toBe(10)
    expect(Number(late[0]!.headers.get('retry-after'))).toBeGreaterThan(0)
  })
  it('opens to nothing that is no address, and is not made by an inspector', async () => {
    for (const token of ['x', 'x.ics', '%00.ics', 'a'.repeat(4000), '..%2f..%2fhealth'])
      expect((await feed(`/api/calendar/${token}`)).status, token.slice(0, 20)).toBeGreaterThanOrEqual(400)
    const inspector = await shop.signedIn(INSPECTOR)
    expect((await inspector.post('/api/me/calendar', {})).status).toBe(403)
  })
})

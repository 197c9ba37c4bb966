import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { BOOK_PAGE } from '#shared/contracts/events'
import { useBook } from './use-book'

/** Two pages to the last record. */
const LAST = 2 * BOOK_PAGE
let broken = false
/** A book of so many records, newest first, as the server pages it. */
const answer = (url: string) => {
  if (broken) throw new TypeError('no network')
  const before = Number(new URL(url, 'http://shop.example').searchParams.get('before') ?? LAST + 1)
  const ids = Array.from({ length: Math.min(BOOK_PAGE, before - 1) }, (_, i) => before - 1 - i)
  return new Response(JSON.stringify(ids.map(id => ({ id }))), { headers: { 'content-type': 'application/json' } })
}

beforeEach(() => {
  broken = false
  vi.stubGlobal(
    'fetch',
    vi.fn((url: string) => Promise.resolve().then(() => answer(url))),
  )
})
afterEach(() => vi.unstubAllGlobals())

it('reads the newest page, then older ones, each record once', async () => {
  const { events, more, load, older } = useBook()
  await load()
  expect(events.value.map(event => event.id)).toEqual(Array.from({ length: BOOK_PAGE }, (_, i) => LAST - i))
  expect(more.value).toBe(true)
  await older()
  expect(events.value.map(event => event.id)).toEqual(Array.from({ length: LAST }, (_, i) => LAST - i))
  expect(more.value).toBe(false)
  await load()
  expect(events.value).toHaveLength(LAST)
})
it('says when it cannot be read, and keeps what it has', async () => {
  const { events, lost, load, older } = useBook()
  await load()
  broken = true
  await older()
  expect(lost.value?.code).toBe('offline')
  expect(events.value).toHaveLength(BOOK_PAGE)
  broken = false
  await load()
  expect(lost.value).toBeNull()
})

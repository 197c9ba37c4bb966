import { describe, expect, it } from 'vitest'
import { indexFits } from '../../../server/db/readers/book-reader'
import { CHAIN_START, walkChain } from '#core/book/walk-chain'
import { rowsIn } from '#core/book/touched'
import { loadDemo } from '../../../server/demo/load-demo'
import { sha256 } from '../../../server/digest/sha256'
import { tableSuite } from '../table-suite'
import { memoryStore } from './memory-store'

describe('the tables in memory', () => {
  tableSuite(async () => ({ store: memoryStore(), close: () => Promise.resolve() }))
})

it('hold the whole demo shop, its book unbroken, every row as its last record sealed it', async () => {
  const store = memoryStore()
  await loadDemo(store, Date.UTC(2026, 5, 17, 16))
  const { tables } = store
  const { book, bookHead } = tables
  const { lastId } = (await bookHead.one({ id: 1 }))!
  const { stored, headHash } = await book.readBack(1, lastId)
  const walked = walkChain(CHAIN_START, stored, sha256)
  expect([walked.breaks, walked.at.hash, stored.every(indexFits)]).toEqual([[], headHash, true])
  const last = new Map(
    stored.flatMap(row => [...rowsIn(row.touched ?? '{}')].map(({ table, id, digest }) => [`${table} ${id}`, digest])),
  )
  expect(last.size).toBeGreaterThan(400)
  expect(await tables.lots.count()).toBeGreaterThanOrEqual(10)
  // Sealed again, each as it stands.
  await store.transaction(async (inIt) => {
    for (const key of last.keys()) {
      const [name, id] = key.split(' ')
      inIt.book.touch(name!, [{ id: Number(id), digest: null }])
    }
    const now = [...rowsIn((await inIt.book.touchedText())!)]
    expect(new Map(now.map(({ table, id, digest }) => [`${table} ${id}`, digest]))).toEqual(last)
  })
})

it('two that go on from what was kept do not see what the other wrote', async () => {
  const tried = { kind: 'password', signIn: 'a', address: 'here', atMs: 0, succeeded: false, device: null, step: null } as const
  const first = memoryStore()
  const kept = await first.tables.signInAttempts.insert(tried)
  const [one, other] = [memoryStore(Date.now, first.keep()), memoryStore(Date.now, first.keep())]
  await one.tables.signInAttempts.update(kept, { succeeded: true })
  const ids = await Promise.all([one, other].map(store => store.transaction(t => t.signInAttempts.insert(tried))))
  expect(ids).toEqual([kept + 1, kept + 1])
  expect(await first.tables.signInAttempts.count()).toBe(1)
  for (const store of [first, other]) expect(await store.tables.signInAttempts.one({ id: kept })).toMatchObject(tried)
  expect(await one.tables.signInAttempts.one({ id: kept })).toMatchObject({ succeeded: true })
})

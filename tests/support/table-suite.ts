import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Store } from '../../server/db/database'
import { duplicateOf } from '../../server/db/line/duplicate'
import { below, between, but, present, since, startsWith } from '../../server/db/schema/where'

const place = (name: string) => ({ name, kind: 'fridge' as const, inUse: true })

export interface Opened {
  store: Store
  close: () => Promise<unknown>
}
const AT = Date.UTC(2026, 10, 26, 9)

/** What every table promises, whatever lies behind it: the same for MariaDB and for the twin in memory. */
export function tableSuite(open: () => Promise<Opened>): void {
  let opened: Opened
  let store: Store
  let userId: number
  let placeIds: number[]
  beforeAll(async () => {
    opened = await open()
    store = opened.store
    const notation = { mass: 'metric', temperature: 'C', decimal: '.', dates: 'dmy' } as const
    await store.transaction(async (tables) => {
      userId = await tables.users.insert({
        signIn: 'ada',
        name: 'Ada',
        initials: 'A',
        role: 'owner',
        passwordHash: 'x',
        notation,
        active: true,
      })
      placeIds = await tables.places.insertMany([place('Cold room'), place('Annex')])
      await tables.placeReadings.insertMany(
        [3.1, 3.2, 7.4, 2.96].map((tempC, i) => ({
          placeId: placeIds[i % 2]!,
          atMs: AT + i * 60_000,
          tempC,
          typed: String(tempC),
          byId: userId,
          offsetC: 0,
        })),
      )
    })
  })
  afterAll(() => opened.close())
  const readings = (where = {}, options = {}) =>
    store.tables.placeReadings.pick(['tempC', 'atMs'], where, { order: [['atMs', 'ASC']], ...options })
  const temperatures = async (where = {}, options = {}) => (await readings(where, options)).map(row => row.tempC)

  describe('questions', () => {
    it('by a value, one of several, and comparisons', async () => {
      expect(await temperatures({ placeId: placeIds[0]! })).toEqual([3.1, 7.4])
      expect(await temperatures({ tempC: [3.2, 7.4] })).toEqual([3.2, 7.4])
      expect(await temperatures({ tempC: [] })).toEqual([])
      expect(await temperatures({ atMs: since(AT + 120_000) })).toEqual([7.4, 2.96])
      expect(await temperatures({ atMs: between(AT + 60_000, AT + 120_000) })).toEqual([3.2, 7.4])
      expect(await temperatures({ tempC: below(3.1) })).toEqual([2.96])
      expect(await temperatures({ typed: but('7.4') })).toEqual([3.1, 3.2, 2.96])
      expect(await temperatures({ typed: startsWith('3.') })).toEqual([3.1, 3.2])
      expect(await temperatures({ typed: startsWith('_.4') })).toEqual([7.4])
      expect(await temperatures({ thermometerId: null })).toHaveLength(4)
      expect(await temperatures({ thermometerId: present })).toEqual([])
    })
    it('in an order, by pages, the latest of each', async () => {
      expect(await temperatures({}, { order: [['tempC', 'DESC']], limit: 2, offset: 1 })).toEqual([3.2, 3.1])
      const latest = await store.tables.placeReadings.pickEach(['tempC'], {
        wheres: placeIds.map(placeId => ({ placeId })),
        first: { order: [['atMs', 'DESC']], limit: 1 },
      })
      expect(latest.map(row => row.tempC)).toEqual([7.4, 2.96])
      const overlapping = await store.tables.placeReadings.pickEach(['tempC'], {
        wheres: [{ placeId: placeIds[0]!, atMs: since(AT + 90_000) }, { placeId: placeIds[0]! }],
      })
      expect(overlapping.map(row => row.tempC).toSorted()).toEqual([3.1, 7.4, 7.4])
      expect(await store.tables.placeReadings.pickEach([], { wheres: [] })).toEqual([])
    })
    it('added up: all, and for each value of a column', async () => {
      const { placeReadings } = store.tables
      expect(await placeReadings.sum('tempC', { placeId: placeIds[1]! })).toBe(6.16)
      expect(await placeReadings.sum('tempC', { id: -1 })).toBe(0)
      expect(await placeReadings.count()).toBe(4)
      const totals = await placeReadings.totals('placeId', { sum: ['tempC'], max: ['atMs'] })
      expect([...totals].toSorted(([a], [b]) => a - b)).toEqual([
        [placeIds[0], { count: 2, sum: { tempC: 10.5 }, max: { atMs: AT + 120_000 } }],
        [placeIds[1], { count: 2, sum: { tempC: 6.16 }, max: { atMs: AT + 180_000 } }],
      ])
    })
    it('texts are found whatever their case and accents', async () => {
      for (const name of ['COLD ROOM', 'cold rööm', 'Cold room '])
        expect(await store.tables.places.one({ name })).toMatchObject({ name: 'Cold room' })
      expect(await store.tables.places.one({ name: 'Cold-room' })).toBeNull()
    })
    it.each([
      ['a column that is not there', { colour: 'red' }, 'no column colour'],
      ['a value that is missing', { id: undefined }, 'undefined'],
      ['a filter that joins others', { [Symbol('or')]: [{ id: 1 }] }, 'column by column'],
    ])('%s is refused', async (_name, filter, words) => {
      await expect(store.tables.places.find(filter as never)).rejects.toThrow(words)
    })
  })

  describe('changes', () => {
    it('digits behind the point are the column\'s; what is too long or missing is refused', async () => {
      const id = await store.transaction(tables =>
        tables.placeReadings.insert({
          placeId: placeIds[0]!,
          atMs: AT + 240_000,
          tempC: 4.12345,
          typed: '4.12345',
          byId: userId,
          offsetC: -0.0004,
        }),
      )
      const row = (await store.tables.placeReadings.one({ id }))!
      expect([row.tempC, Math.abs(row.offsetC)]).toEqual([4.123, 0])
      const named = (name: string | null) =>
        store.transaction(tables => tables.places.insert(place(name as string)))
      await expect(named('x'.repeat(256))).rejects.toThrow()
      await expect(named(null)).rejects.toThrow()
      await store.transaction(tables => tables.placeReadings.setVoid([id]))
    })
    it('a voided row is out of every answer, and stays', async () => {
      const [{ id }] = (await readings({}, { limit: 1 })) as [{ id: number }]
      await store.transaction(tables => tables.placeReadings.setVoid([id]))
      expect(await store.tables.placeReadings.one({ id })).toBeNull()
      expect(await temperatures()).toEqual([3.2, 7.4, 2.96])
      expect(await store.tables.placeReadings.one({ id }, { withVoided: true })).toMatchObject({ tempC: 3.1 })
    })
    it('what is unique is there once; the other is told which key it met', async () => {
      const again = store.transaction(tables => tables.places.insert(place('ANNEX')))
      await expect(again).rejects.toSatisfy(error => duplicateOf(error) === 'name')
      expect(await store.tables.places.count()).toBe(2)
    })
    it('what is thrown takes everything back', async () => {
      const failed = store.transaction(async (tables) => {
        await tables.places.update(placeIds[0]!, { name: 'Warm room' })
        await tables.places.insert(place('Third'))
        expect(await tables.places.count()).toBe(3)
        throw new Error('thought better of it')
      })
      await expect(failed).rejects.toThrow('thought better of it')
      expect((await store.tables.places.find()).map(row => row.name)).toEqual(['Cold room', 'Annex'])
    })
    it('several rows take the same change in one statement, each touched', async () => {
      const failed = store.transaction(async (tables) => {
        const [first, second, third] = (await tables.placeReadings.find()).map(row => row.id)
        await tables.placeReadings.update([first!, second!], { typed: 'the same' })
        await tables.placeReadings.update([], { typed: 'of none' })
        expect(tables.book.touchedIds('placeReadings')).toEqual([first, second])
        expect(await tables.placeReadings.count({ typed: 'the same' })).toBe(2)
        expect((await tables.placeReadings.one({ id: third! }))!.typed).not.toBe('the same')
        throw new Error('only tried')
      })
      await expect(failed).rejects.toThrow('only tried')
    })
    it('what a record must seal is changed inside a transaction alone; there it is known what was touched', async () => {
      await expect(store.tables.places.update(placeIds[0]!, { name: 'By the way' })).rejects.toThrow('by records alone')
      await store.transaction(async (tables) => {
        expect(tables.book.isTouched()).toBe(false)
        await tables.places.update(placeIds[1]!, { name: 'Annex, cold' })
        expect([tables.book.isTouched(), tables.book.touchedIds('places')]).toEqual([true, [placeIds[1]]])
        expect(await tables.book.touchedText()).toMatch(/^\{"places":\[\[\d+,"[\w+/]{22}"\]\]\}$/)
      })
    })
  })
}

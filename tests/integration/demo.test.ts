import { describe, expect, it } from 'vitest'
import { instantOf } from '../../core/calendar/local-day'
import { migrate } from '../../server/db/setup/migrate'
import { openStore } from '../../server/db/database'
import { loadDemo } from '../../server/demo/load-demo'
import { DEMO_SHOP } from '../../server/demo/people'
import { lotSummaries } from '../../server/services/views/lot-summaries'
import { freshDatabase } from '../support/database'

const at = (date: string, time: string) => instantOf(date, time, DEMO_SHOP.zone)

describe('the demo shop, whenever it is opened', () => {
  it.each([
    ['in the middle of a day', at('2026-06-17', '11:20')],
    ['just after midnight', at('2026-06-17', '00:03')],
    ['late at night', at('2026-06-17', '23:58')],
    ['on the day the clock goes forward', at('2026-03-08', '09:00')],
    ['the week after it went back', at('2026-11-05', '07:00')],
    ['on a leap day', at('2028-02-29', '14:00')],
  ])('%s', async (_name, nowMs) => {
    const database = await freshDatabase()
    const store = openStore(database.url)
    try {
      await migrate(store.sequelize)
      expect(await migrate(store.sequelize)).toEqual([])
      expect(await loadDemo(store, nowMs)).toMatch(/^11 lots/)
      expect(await loadDemo(store, nowMs)).toBe('kept as it was')
      const lots = await lotSummaries(store.tables, await store.tables.lots.find({}, { order: [['id', 'ASC']] }), nowMs)
      expect(lots.filter(lot => lot.openHolds.length > 0).map(lot => lot.openHolds)).toEqual([['place_warm']])
      expect(lots.filter(lot => lot.saltOnly)).toHaveLength(1)
      expect(lots.filter(lot => lot.packs > 0 && lot.unsent === 0)).toHaveLength(2)
      expect(new Set(lots.map(lot => `${lot.cut} ${lot.rind}`))).toEqual(
        new Set(['belly off', 'belly on', 'loin off', 'shoulder off', 'jowl off']),
      )
      expect(lots.map(lot => lot.judgement.status).toSorted()).toEqual([
        ...Array.from({ length: 9 }, () => 'inside'),
        'no_nitrite',
        'up_to',
      ])
      const drained = lots.find(lot => lot.code === 'L-0008')!.judgement
      expect(drained.leastPpm).toBeGreaterThan(100)
      expect(drained.leastPpm).toBeLessThan(drained.lot!.lowPpm)
      const events = await store.tables.events.find({}, { order: [['id', 'ASC']] })
      expect(events.every((event, i) => event.atMs <= nowMs && (i === 0 || event.atMs >= events[i - 1]!.atMs))).toBe(
        true,
      )
    }
    finally {
      await store.close()
      await database.drop()
    }
  })
})

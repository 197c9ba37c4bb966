import type { Milliseconds } from '#core/units/quantities'
import type { SettledStep } from '#shared/contracts/records'
import { openStore } from '../../db/database'
import { inBook } from '../book/in-book'
import { theShop } from '../office/office'
import { settleSteps } from './settle-steps'

export interface SettledLot {
  code: string
  settled: SettledStep[]
  left: SettledStep[]
  /** Pieces stood where their steps do not bring them. */
  isMoved: boolean
}

/**
 * Sets right every lot of a shop whose steps contradict each other, lot by lot, each in a record of its own, by the
 * application's own database user. Nobody pressed for it: the records stand in the first owner's name.
 */
export async function settleShop(url: string, nowMs: Milliseconds): Promise<{ lots: SettledLot[] }> {
  const store = openStore(url, 2)
  try {
    const [owner] = await store.tables.users.find({ role: 'owner' }, { order: [['id', 'ASC']], limit: 1 })
    if (!owner) return { lots: [] }
    const { zone } = await theShop(store.tables)
    const actor = { id: owner.id, role: 'owner' as const, name: 'Veldmoor' }
    const writer = { actor, station: 'settle-steps', nowMs, zone, clockRight: true }
    const lots: SettledLot[] = []
    for (const lot of await store.tables.lots.pick(['code'], {}, { order: [['id', 'ASC']] })) {
      const { value } = await inBook(store, writer, ctx => settleSteps(ctx, lot))
      if (value) lots.push({ code: lot.code, ...value })
    }
    return { lots }
  }
  finally {
    await store.close()
  }
}

import type { Milliseconds } from '#core/units/quantities'
import type { SettledStep } from '#shared/contracts/records'
import { openStore } from '../../db/database'
import { inBook } from '../book/in-book'
import { ownWriter } from '../own-writer'
import { settleSteps } from '../steps/settle-steps'

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
    const writer = await ownWriter(store.tables, 'settle-steps', nowMs)
    if (!writer) return { lots: [] }
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

import { saltLedger } from '#core/ledger/salt-ledger'
import { MS_PER_DAY } from '#core/units/quantities'
import type { SaltLedgerView } from '#shared/contracts/store'
import type { Tables } from '../../db/store'
import { loadMarks } from '../instruments/marks'
import { saltEntries } from './salt-entries'

/** Curing salt is counted monthly. House. */
export const COUNT_EVERY_MS = 31 * MS_PER_DAY

/** Each gram of curing salt, in and out, tied to its lot, with the balance after each. */
export async function saltLedgerView(tables: Tables, nowMs: number): Promise<SaltLedgerView> {
  const [salts, parties, users, markAt] = await Promise.all([
    tables.ingredientLots.find({ kind: 'curing_salt' }, { order: [['id', 'DESC']] }), tables.parties.find({ kind: 'supplier' }), tables.users.find(), loadMarks(tables),
  ])
  const lots = await Promise.all(salts.map(async (lot) => {
    const entries = await saltEntries(tables, lot)
    const lines = saltLedger(entries).map((line) => {
      const { atMs, kind, lot: into, reason, byId, typed, scaleId } = entries[line.entry]!
      const { entry: _place, ...sums } = line
      return { ...sums, atMs, kind, lot: into, reason, typed, by: users.find(user => user.id === byId)!.initials, scale: markAt(scaleId, atMs) }
    })
    const lastCount = lines.findLast(line => line.kind === 'count')
    return {
      code: lot.code, name: lot.name, supplier: parties.find(party => party.id === lot.supplierId)!.name, supplierLot: lot.supplierLot,
      balanceG: lines.at(-1)!.balanceG, countDueMs: (lastCount?.atMs ?? lot.receivedAtMs) + COUNT_EVERY_MS, lines,
    }
  }))
  return { lots, nowMs }
}

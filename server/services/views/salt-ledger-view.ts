import { lastOf } from '#core/lists/last-of'
import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import { COUNT_EVERY_MS } from '#core/rules/house'
import { saltLedger } from '#core/ledger/salt-ledger'
import type { SaltLedgerView } from '#shared/contracts/salt-ledger'
import type { Tables } from '../../db/database'
import { below } from '../../db/schema/where'
import { loadMarks } from '../instruments/marks'
import { saltEntries } from '../store-rows/salt-entries'

/** Accounts a page, and lines of one that are shown before all are asked for. */
const ACCOUNTS_SHOWN = 3
const LINES_SHOWN = 40
/** Open accounts shown at once; the rest come with the earlier ones. */
const OPEN_MOST = 24

/** Which accounts: the newest, those from before a code on, or one with all its lines. */
export interface WhichAccounts {
  before?: string | undefined
  code?: string | undefined
}

async function saltsOf(tables: Tables, { before, code }: WhichAccounts) {
  if (code !== undefined) return { salts: await tables.ingredientLots.find({ kind: 'curing_salt', code }), more: false }
  const from = before === undefined ? null : ((await tables.ingredientLots.pick([], { code: before }))[0] ?? null)
  const older = from ? { id: below(from.id) } : {}
  // Whatever is open, and a page of the rest.
  const [open, rest] = await Promise.all([
    from
      ? []
      : tables.ingredientLots.find(
          { kind: 'curing_salt', finishedAtMs: null },
          { order: [['id', 'DESC']], limit: OPEN_MOST },
        ),
    tables.ingredientLots.find(
      { kind: 'curing_salt', ...older },
      { order: [['id', 'DESC']], limit: ACCOUNTS_SHOWN + 1 },
    ),
  ])
  const shown = new Map([...open, ...rest.slice(0, ACCOUNTS_SHOWN)].map(lot => [lot.id, lot]))
  return { salts: [...shown.values()].toSorted((a, b) => b.id - a.id), more: rest.length > ACCOUNTS_SHOWN }
}

/** Each gram of curing salt, in and out, tied to its lot, with the balance after each. */
export async function saltLedgerView(
  tables: Tables,
  nowMs: Milliseconds,
  which: WhichAccounts = {},
): Promise<SaltLedgerView> {
  const { salts, more } = await saltsOf(tables, which)
  const [parties, users, entriesOf, markAt] = await Promise.all([
    tables.parties.pick(['name'], { id: salts.map(lot => lot.supplierId) }),
    tables.users.pick(['initials']),
    saltEntries(tables, salts),
    loadMarks(tables, Math.min(nowMs, ...salts.map(lot => lot.receivedAtMs))),
  ])
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const names = new Map(parties.map(party => [party.id, party.name]))
  const lots = salts.map((lot) => {
    const entries = atKey(entriesOf, lot.id)
    const lines = saltLedger(entries).map((line) => {
      const { atMs, kind, lot: into, reason, byId, typed, scaleId } = entries[line.entry]!
      const { entry: _place, ...sums } = line
      return { ...sums, atMs, kind, lot: into, reason, typed, by: atKey(initials, byId), scale: markAt(scaleId, atMs) }
    })
    const lastCount = lines.findLast(line => line.kind === 'count')
    const firstShown = which.code === undefined ? lines.length - LINES_SHOWN : 0
    const shown = lines.filter((line, i) => i >= firstShown || line.anomaly !== null)
    return {
      code: lot.code,
      name: lot.name,
      supplier: atKey(names, lot.supplierId),
      supplierLot: lot.supplierLot,
      balanceG: lastOf(lines).balanceG,
      countDueMs: (lastCount?.atMs ?? lot.receivedAtMs) + COUNT_EVERY_MS,
      lines: shown,
      earlierLines: lines.length - shown.length,
    }
  })
  return { lots, more, nowMs }
}

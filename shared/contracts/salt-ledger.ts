import { z } from 'zod'
import type { SaltAnomaly } from '#core/ledger/salt-ledger'
import type { Grams, Milliseconds } from '#core/units/quantities'
import { code } from '../entry/fields'
import type { InstrumentMark } from './instruments'
import type { StockMoveKind } from './store'

export const saltLedgerQuery = z.strictObject({ before: code().optional(), code: code().optional() })

export interface SaltLineView {
  atMs: Milliseconds
  kind: 'received' | 'used' | StockMoveKind
  lot: string | null
  inG: Grams
  outG: Grams
  balanceG: Grams
  differenceG: Grams | null
  allowedG: Grams | null
  anomaly: SaltAnomaly | null
  reason: string | null
  by: string
  typed: string
  scale: InstrumentMark | null
}
/** Accounts newest first; of a long one the last lines, and every one that is not right. */
export interface SaltLedgerView {
  lots: {
    code: string
    name: string
    supplier: string
    supplierLot: string
    balanceG: Grams
    countDueMs: Milliseconds
    lines: SaltLineView[]
    earlierLines: number
  }[]
  more: boolean
  nowMs: Milliseconds
}

import type { Grams, Milliseconds } from '../units/quantities'

/** Grams in or out of one curing-salt lot, or a count of what is there. */
export type SaltEntry
  = | { kind: 'received'; atMs: Milliseconds; massG: Grams }
  /** What went into a lot, weighed on a scale of this readability. */
    | { kind: 'used'; atMs: Milliseconds; massG: Grams; readabilityG: Grams }
  /** Taken without a lot to show for it, or thrown away. */
    | { kind: 'unassigned' | 'discarded'; atMs: Milliseconds; massG: Grams; readabilityG: Grams }
    | { kind: 'count'; atMs: Milliseconds; countedG: Grams; readabilityG: Grams }

export const SALT_ANOMALIES = ['without_a_lot', 'count_off', 'below_zero'] as const
export type SaltAnomaly = (typeof SALT_ANOMALIES)[number]

export interface SaltLine {
  /** Place of its entry in the list given. */
  entry: number
  inG: Grams
  outG: Grams
  balanceG: Grams
  /** Counted less the balance before; null where nothing was counted. */
  differenceG: Grams | null
  /** How far a count may be off by the scales alone. */
  allowedG: Grams | null
  anomaly: SaltAnomaly | null
}

/** A reading is uncertain by half a division either way (GUM, JCGM 100:2008). */
const halfDivision = (readabilityG: Grams): Grams => readabilityG / 2
const TINY_G = 1e-6

/**
 * The running balance of one lot, in order of time. A count sets the balance to what is there; it is off when it
 * differs by more than the scales allow: half a division of the counting scale and of each weighing since the count
 * before, all ends together. House: a ledger in grams, every use tied to a batch, counted monthly.
 */
export function saltLedger(entries: readonly SaltEntry[]): SaltLine[] {
  let balanceG = 0
  let allowedG = 0
  return entries.map((entry, i) => {
    const line = { entry: i, inG: 0, outG: 0, differenceG: null, allowedG: null, anomaly: null }
    switch (entry.kind) {
      case 'received':
        balanceG += entry.massG
        return { ...line, inG: entry.massG, balanceG }
      case 'count': {
        const bound = allowedG + halfDivision(entry.readabilityG)
        const differenceG = entry.countedG - balanceG
        balanceG = entry.countedG
        allowedG = halfDivision(entry.readabilityG)
        return {
          ...line,
          balanceG,
          differenceG,
          allowedG: bound,
          anomaly: Math.abs(differenceG) > bound + TINY_G ? 'count_off' : null,
        }
      }
      default: {
        balanceG -= entry.massG
        allowedG += halfDivision(entry.readabilityG)
        const anomaly
          = balanceG < -allowedG - TINY_G ? 'below_zero' : entry.kind === 'unassigned' ? 'without_a_lot' : null
        return { ...line, outG: entry.massG, balanceG, anomaly }
      }
    }
  })
}

import type { SaltAnomaly } from '#core/ledger/salt-ledger'

/** What is not right with a line of the curing-salt ledger. */
export const SALT_ANOMALY_WORDS: Record<SaltAnomaly, string> = {
  without_a_lot: 'used without a lot',
  count_off: 'count off by more than the scales explain',
  below_zero: 'more taken than there was',
}

/**
 * The last lots of a cut that were weighed ready to slice are found by it, for the shop's usual yield. May be run again.
 * Frozen: change it by a later migration.
 */
export const name = '2026-12-15-ready-weights'

export const up: readonly string[] = ['ALTER TABLE lots ADD KEY IF NOT EXISTS weighed_ready (cut, ready_g)']

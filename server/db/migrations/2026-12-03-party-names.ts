/**
 * Suppliers and customers are listed by name, as many as are shown, by the index. May be run again.
 * Frozen: change it by a later migration.
 */
export const name = '2026-12-03-party-names'

export const up: readonly string[] = ['ALTER TABLE parties ADD KEY IF NOT EXISTS by_name (name, id)']

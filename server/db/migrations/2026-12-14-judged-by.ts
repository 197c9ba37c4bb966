/**
 * By which version's rules a lot was judged last, null: by those of a version that did not say; and a hold that an upgrade
 * placed says by whose. May be run again. Frozen: change it by a later migration.
 */
export const name = '2026-12-14-judged-by'

export const up: readonly string[] = [
  'ALTER TABLE lots ADD COLUMN IF NOT EXISTS judged_by VARCHAR(16) NULL',
  'ALTER TABLE holds ADD COLUMN IF NOT EXISTS by_rules VARCHAR(16) NULL',
  'ALTER TABLE holds ADD KEY IF NOT EXISTS newer_rules (by_rules)',
]

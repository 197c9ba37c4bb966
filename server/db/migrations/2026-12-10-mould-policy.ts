/** What a shop does with white bloom on hung meat. May be run again. Frozen: change it by a later migration. */
export const name = '2026-12-10-mould-policy'

export const up: readonly string[] = ['ALTER TABLE shops ADD COLUMN IF NOT EXISTS mould_policy VARCHAR(500) NULL']

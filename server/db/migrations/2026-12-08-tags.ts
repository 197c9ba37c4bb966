/** What is tied to a piece. May be run again. Frozen: change it by a later migration. */
export const name = '2026-12-08-tags'

export const up: readonly string[] = ['ALTER TABLE pieces ADD COLUMN IF NOT EXISTS tag VARCHAR(40) NULL']

/**
 * How many of a lot's steps contradict others, kept with it like the rest that its steps come to. Null: nobody looked
 * since there is this column. May be run again. Frozen: change it by a later migration.
 */
export const name = '2026-12-11-contradictions'

export const up: readonly string[] = ['ALTER TABLE lots ADD COLUMN IF NOT EXISTS contradictions INT NULL']

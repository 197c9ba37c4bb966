/** How pieces lie one on the other. May be run again. Frozen: change it by a later migration. */
export const name = '2026-12-06-stacks'

export const up: readonly string[] = [
  'ALTER TABLE pieces ADD COLUMN IF NOT EXISTS layer INT NULL, ADD COLUMN IF NOT EXISTS stack_turns INT NULL',
]

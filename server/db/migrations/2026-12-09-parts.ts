/**
 * Pieces that are cut up after the rub: what each part was cut from, and what came off with it; by which slicing a pack
 * was packed. May be run again. Frozen: change it by a later migration.
 */
export const name = '2026-12-09-parts'

export const up: readonly string[] = [
  `ALTER TABLE pieces ADD COLUMN IF NOT EXISTS (part VARCHAR(3) NULL, parent_id INT NULL, gone_at DATETIME(3) NULL,
    gone_why VARCHAR(8) NULL)`,
  'ALTER TABLE pieces ADD UNIQUE KEY IF NOT EXISTS lot_number_part (lot_id, number, part, voided)',
  'ALTER TABLE pieces DROP KEY IF EXISTS lot_number',
  'ALTER TABLE offcuts ADD COLUMN IF NOT EXISTS (step_id INT NULL, at_cut BOOLEAN NULL)',
  'ALTER TABLE packs ADD COLUMN IF NOT EXISTS step_id INT NULL',
  'ALTER TABLE offcuts ADD KEY IF NOT EXISTS by_step (step_id)',
  'ALTER TABLE packs ADD KEY IF NOT EXISTS lot_sent_by (lot_id, voided, dispatch_id, step_id, net_g)',
  'ALTER TABLE packs DROP KEY IF EXISTS lot_sent',
]

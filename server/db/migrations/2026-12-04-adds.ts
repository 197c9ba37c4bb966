import { GRAMS } from './migration'

/**
 * What goes on after the rub stands with the lot's ingredients: by which step, on which pieces, on which face, for what,
 * on which scale, or without being weighed. May be run again. Frozen: change it by a later migration.
 */
export const name = '2026-12-04-adds'

export const up: readonly string[] = [
  `ALTER TABLE lot_ingredients ADD COLUMN IF NOT EXISTS (step_id INT NULL, piece_ids JSON NULL, face VARCHAR(8) NULL,
    used_for VARCHAR(8) NULL, unweighed BOOLEAN NULL, scale_id INT NULL, readability_g ${GRAMS} NULL)`,
  'ALTER TABLE lot_ingredients ADD KEY IF NOT EXISTS of_step (step_id)',
]

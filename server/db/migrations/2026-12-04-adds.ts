import { GRAMS } from './migration'

/**
 * What goes on after the rub stands with the lot's ingredients: by which step, on which pieces, on which face, for what,
 * on which scale, or without being weighed. May be run again. Frozen: change it by a later migration.
 */
export const name = '2026-12-04-adds'

export const up: readonly string[] = [
  `ALTER TABLE lot_ingredients ADD COLUMN IF NOT EXISTS (step_id INT NULL, piece_ids JSON NULL, face VARCHAR(8) NULL,
    used_for VARCHAR(8) NULL, unweighed BOOLEAN NULL, scale_id INT NULL, readability_g ${GRAMS} NULL)`,
  'ALTER TABLE lot_ingredients DROP FOREIGN KEY IF EXISTS of_step, DROP FOREIGN KEY IF EXISTS on_scale',
  `ALTER TABLE lot_ingredients ADD CONSTRAINT of_step FOREIGN KEY (step_id) REFERENCES steps (id),
    ADD CONSTRAINT on_scale FOREIGN KEY (scale_id) REFERENCES instruments (id)`,
]

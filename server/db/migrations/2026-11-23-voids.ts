/** Rows can be voided: they stay, marked with their own id. Frozen: change it by a later migration. */
export const name = '2026-11-23-voids'

const VOIDABLE = [
  'lots',
  'pieces',
  'lot_ingredients',
  'offcuts',
  'packs',
  'dispatches',
  'meat_lots',
  'ingredient_lots',
  'fridge_readings',
  'runs',
  'run_pieces',
  'run_readings',
]

export const up: readonly string[] = [
  ...VOIDABLE.map(table => `ALTER TABLE ${table} ADD voided INT NOT NULL DEFAULT 0`),
  'ALTER TABLE turns MODIFY voided INT NOT NULL DEFAULT 0',
  'UPDATE turns SET voided = id WHERE voided = 1',
  // What was voided leaves its place to another: the same readings, typed again.
  'ALTER TABLE run_pieces ADD KEY by_run (run_id), DROP KEY run_piece, ADD UNIQUE KEY run_piece (run_id, piece_id, voided)',
  'ALTER TABLE run_readings ADD KEY by_run (run_id), DROP KEY run_phase_at, ADD UNIQUE KEY run_phase_at (run_id, phase, at, voided)',
]

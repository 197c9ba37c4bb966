/**
 * Room for the mark of what is finished, and the indexes that open things and lists are found by. Frozen: change it by a
 * later migration.
 */
export const name = '2026-11-27-open-things'

export const up: readonly string[] = [
  'ALTER TABLE packs ADD KEY lot_sent (lot_id, voided, dispatch_id, net_g)',
  'ALTER TABLE run_readings ADD KEY run_last (run_id, voided, at), DROP KEY by_run',
  'ALTER TABLE run_pieces DROP KEY by_run',
  'ALTER TABLE sessions ADD KEY open_until (ended_at, ends_at)',
  'ALTER TABLE sign_in_attempts ADD KEY tries (kind, sign_in, succeeded, id)',
  'ALTER TABLE holds ADD KEY undecided (disposition, lot_id)',
  'ALTER TABLE runs ADD KEY unpulled (pulled_at)',
  'ALTER TABLE fridge_readings ADD KEY fridge_live (fridge_id, voided, at), DROP KEY fridge_at',
  'ALTER TABLE events DROP KEY by_at',
  'ALTER TABLE lots ADD finished_at DATETIME(3) NULL, ADD KEY open_lots (finished_at, voided), ADD KEY in_fridge (fridge_id, finished_at)',
  'ALTER TABLE meat_lots ADD finished_at DATETIME(3) NULL, ADD KEY open_meat (finished_at, voided)',
  'ALTER TABLE ingredient_lots ADD finished_at DATETIME(3) NULL, ADD KEY open_ingredients (finished_at, voided), '
  + 'ADD KEY by_kind (kind, finished_at)',
]

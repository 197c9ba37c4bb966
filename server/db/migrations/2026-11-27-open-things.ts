/**
 * What is finished is marked so, and the indexes that open things and lists are found by. Frozen: change it by a later
 * migration.
 */
export const name = '2026-11-27-open-things'

const PACKED = '(SELECT COALESCE(SUM(net_g), 0) FROM packs WHERE lot_id = lots.id AND voided = 0)'
const OFF = '(SELECT COALESCE(SUM(mass_g), 0) FROM offcuts WHERE lot_id = lots.id AND voided = 0)'
const hold = (how: string) => `EXISTS (SELECT 1 FROM holds WHERE lot_id = lots.id AND disposition ${how})`
const LOOSE = `EXISTS (SELECT 1 FROM meat_pieces p WHERE p.meat_lot_id = meat_lots.id AND p.voided = 0
  AND NOT EXISTS (SELECT 1 FROM cuttings c WHERE c.parent_id = p.id AND c.voided = 0) AND NOT EXISTS (SELECT 1 FROM pieces q WHERE q.meat_piece_id = p.id AND q.voided = 0))`
const MEAT_OUT = `(SELECT COALESCE(SUM(green_g), 0) FROM pieces WHERE meat_lot_id = meat_lots.id AND meat_piece_id IS NULL AND voided = 0)
  + (SELECT COALESCE(SUM(from_g), 0) FROM cuttings WHERE meat_lot_id = meat_lots.id AND parent_id IS NULL AND voided = 0)`
const sumOf = (column: string, table: string) =>
  `(SELECT COALESCE(SUM(${column}), 0) FROM ${table} WHERE ingredient_lot_id = ingredient_lots.id AND voided = 0)`

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
  'ALTER TABLE ingredient_lots ADD finished_at DATETIME(3) NULL, ADD KEY open_ingredients (finished_at, voided), ADD KEY by_kind (kind, finished_at)',
  `UPDATE lots SET finished_at = COALESCE((SELECT MAX(d.sent_at) FROM packs p JOIN dispatches d ON d.id = p.dispatch_id WHERE p.lot_id = lots.id), cure_ended_at, rubbed_at)
   WHERE ${hold('= \'destroy\'')} OR (EXISTS (SELECT 1 FROM packs WHERE lot_id = lots.id AND voided = 0)
     AND NOT EXISTS (SELECT 1 FROM packs WHERE lot_id = lots.id AND voided = 0 AND dispatch_id IS NULL)
     AND NOT ${hold('IS NULL')} AND COALESCE(ready_g - ${PACKED} - ${OFF}, 0) <= 0.03 * COALESCE(ready_g, 0))`,
  `UPDATE meat_lots SET finished_at = received_at
   WHERE state IN ('refused', 'destroyed') OR (state = 'in' AND NOT ${LOOSE} AND weight_g - ${MEAT_OUT} <= 0.02 * weight_g)`,
  `UPDATE ingredient_lots SET finished_at = received_at WHERE amount_g - ${sumOf('weighed_g', 'lot_ingredients')} - ${sumOf('mass_g', 'mix_parts')}
   - ${sumOf('IF(kind = \'count\', -mass_g, mass_g)', 'stock_moves')} <= 0.001 * amount_g`,
]

import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { CELSIUS } from './migration'

/**
 * Fridges become places and keep their ids; smokers come after them, from the names that smokes were given. May be run
 * again. Frozen: change it by a later migration.
 */
export const name = '2026-11-30-places'

const HUMIDITY = 'DECIMAL(6,3)'

export const up: readonly string[] = [
  'RENAME TABLE IF EXISTS fridges TO places',
  'RENAME TABLE IF EXISTS fridge_readings TO place_readings',
  `ALTER TABLE places ADD COLUMN IF NOT EXISTS (code VARCHAR(16) NULL UNIQUE, kind VARCHAR(16) NOT NULL DEFAULT 'fridge',
    can JSON NULL, hygrometer_id INT NULL REFERENCES instruments (id), shelves INT NULL, hooks INT NULL,
    target_c ${CELSIUS} NULL, target_rh ${HUMIDITY} NULL, in_use BOOLEAN NOT NULL DEFAULT TRUE)`,
  'ALTER TABLE place_readings CHANGE COLUMN IF EXISTS fridge_id place_id INT NOT NULL',
  `ALTER TABLE place_readings MODIFY temp_c ${CELSIUS} NULL, MODIFY typed VARCHAR(32) NULL,
    ADD COLUMN IF NOT EXISTS (rh ${HUMIDITY} NULL, rh_typed VARCHAR(32) NULL,
      hygrometer_id INT NULL REFERENCES instruments (id), offset_rh ${HUMIDITY} NULL)`,
  'ALTER TABLE runs ADD COLUMN IF NOT EXISTS (place_id INT NULL REFERENCES places (id))',
  'ALTER TABLE pieces ADD KEY IF NOT EXISTS in_place (place_id)',
  `ALTER TABLE holds ADD COLUMN IF NOT EXISTS (piece_ids JSON NULL, from_at DATETIME(3) NULL, to_at DATETIME(3) NULL,
    worst ${CELSIUS} NULL, changed_event_id INT NULL)`,
]

/** Smokers are named as their smokes were, without regard to blanks around and to case; a shop has one at least. */
const SMOKERS: readonly string[] = [
  'INSERT INTO code_counters (kind, last) SELECT \'place\', 0 FROM DUAL '
  + 'WHERE NOT EXISTS (SELECT 1 FROM code_counters WHERE kind = \'place\')',
  `INSERT INTO places (name, kind) SELECT MIN(TRIM(smoker)), 'smoker' FROM runs
    WHERE TRIM(smoker) NOT IN (SELECT name FROM places) GROUP BY TRIM(smoker) ORDER BY MIN(id)`,
  // A smoker that is called as a fridge is.
  `INSERT INTO places (name, kind) SELECT CONCAT(MIN(TRIM(r.smoker)), ' (smoker)'), 'smoker' FROM runs r
    JOIN places p ON p.name = TRIM(r.smoker) AND p.kind <> 'smoker'
    WHERE CONCAT(TRIM(r.smoker), ' (smoker)') NOT IN (SELECT name FROM places) GROUP BY TRIM(r.smoker) ORDER BY MIN(r.id)`,
  `INSERT INTO places (name, kind) SELECT 'Smoker', 'smoker' FROM shops
    WHERE NOT EXISTS (SELECT 1 FROM places WHERE kind = 'smoker' OR name = 'Smoker') LIMIT 1`,
  'UPDATE places SET code = CONCAT(\'F-\', LPAD(id, GREATEST(4, LENGTH(id)), \'0\')) WHERE code IS NULL',
  'UPDATE code_counters SET last = (SELECT COALESCE(MAX(id), 0) FROM places) WHERE kind = \'place\'',
  `UPDATE runs r JOIN places p ON p.kind = 'smoker' AND p.name IN (TRIM(r.smoker), CONCAT(TRIM(r.smoker), ' (smoker)'))
    SET r.place_id = p.id WHERE r.place_id IS NULL`,
  // A heat is in its smoker, and so is what it heats.
  `UPDATE steps s JOIN runs r ON r.id = s.run_id SET s.place_id = r.place_id WHERE s.kind = 'heat' AND s.place_id IS NULL`,
  `UPDATE pieces q JOIN run_pieces m ON m.piece_id = q.id AND m.voided = 0 JOIN runs r ON r.id = m.run_id AND r.voided = 0
    SET q.place_id = r.place_id, q.spot = NULL WHERE q.stage = 'heat' AND r.pulled_at IS NULL`,
]

/** Gives the places of a shop from before there were any their codes, and its smokers a place each. */
export async function layOldPlaces(sequelize: Sequelize, transaction: Transaction): Promise<void> {
  for (const sql of SMOKERS) await sequelize.query(sql, { type: QueryTypes.RAW, transaction })
}

export const after = (sequelize: Sequelize): Promise<void> =>
  sequelize.transaction(transaction => layOldPlaces(sequelize, transaction))

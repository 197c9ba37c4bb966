import { AT, CELSIUS, GRAMS, ref, table } from './migration'

/**
 * Deliveries with several cuts, meat cut up as a tree, files, stock moves, held meat. Frozen: change it by a later
 * migration.
 */
export const name = '2026-11-23-receiving'

const VOIDED = 'voided INT NOT NULL DEFAULT 0'
const refTo = (column: string, target: string) =>
  `ADD ${column} INT NULL, ADD FOREIGN KEY (${column}) REFERENCES ${target} (id)`

export const up: readonly string[] = [
  table(
    'files',
    'sha256 CHAR(64) NOT NULL UNIQUE',
    'name VARCHAR(255) NOT NULL',
    'mime VARCHAR(64) NOT NULL',
    'bytes INT NOT NULL',
    'content MEDIUMBLOB NOT NULL',
    `at ${AT}`,
    ref('by_id', 'users'),
  ),
  table(
    'deliveries',
    'code VARCHAR(16) NOT NULL UNIQUE',
    ref('supplier_id', 'parties'),
    'document VARCHAR(255) NULL',
    ref('photo_id', 'files', true),
    'note VARCHAR(500) NULL',
    `received_at ${AT}`,
    ref('received_by_id', 'users'),
    VOIDED,
  ),
  `ALTER TABLE meat_lots ${refTo('delivery_id', 'deliveries')}, ${refTo('scale_id', 'instruments')},
    ${refTo('thermometer_id', 'instruments')},
    ADD offset_c ${CELSIUS} NOT NULL DEFAULT 0, ADD state VARCHAR(16) NOT NULL DEFAULT 'in', ADD checks JSON NULL`,
  table(
    'cuttings',
    ref('meat_lot_id', 'meat_lots'),
    'parent_id INT NULL',
    'kind VARCHAR(8) NOT NULL',
    `from_g ${GRAMS} NOT NULL`,
    'from_typed VARCHAR(64) NULL',
    `trim_g ${GRAMS} NOT NULL`,
    `bone_g ${GRAMS} NOT NULL`,
    `rind_g ${GRAMS} NOT NULL`,
    `unaccounted_g ${GRAMS} NOT NULL`,
    ref('scale_id', 'instruments', true),
    'note VARCHAR(500) NULL',
    `at ${AT}`,
    ref('by_id', 'users'),
    VOIDED,
  ),
  table(
    'meat_pieces',
    ref('meat_lot_id', 'meat_lots'),
    ref('cutting_id', 'cuttings'),
    'label VARCHAR(64) NOT NULL',
    `mass_g ${GRAMS} NOT NULL`,
    'mass_typed VARCHAR(64) NOT NULL',
    VOIDED,
  ),
  'ALTER TABLE cuttings ADD FOREIGN KEY (parent_id) REFERENCES meat_pieces (id)',
  `ALTER TABLE pieces ${refTo('meat_piece_id', 'meat_pieces')}`,
  `ALTER TABLE holds MODIFY lot_id INT NULL, ${refTo('meat_lot_id', 'meat_lots')}, ADD note VARCHAR(500) NULL`,
  `ALTER TABLE ingredient_lots ${refTo('certificate_file_id', 'files')}, ADD opened_at DATETIME(3) NULL`,
  'ALTER TABLE parties ADD contact VARCHAR(255) NULL, ADD approval VARCHAR(120) NULL, ADD note VARCHAR(500) NULL',
  table(
    'stock_moves',
    ref('ingredient_lot_id', 'ingredient_lots'),
    'kind VARCHAR(16) NOT NULL',
    `mass_g ${GRAMS} NOT NULL`,
    'typed VARCHAR(64) NOT NULL',
    `counted_g ${GRAMS} NULL`,
    `book_g ${GRAMS} NULL`,
    `allowed_g ${GRAMS} NULL`,
    ref('scale_id', 'instruments', true),
    'reason VARCHAR(500) NULL',
    `at ${AT}`,
    ref('by_id', 'users'),
    VOIDED,
  ),
  `INSERT INTO code_counters (kind, last) VALUES ('delivery', 0)`,
]

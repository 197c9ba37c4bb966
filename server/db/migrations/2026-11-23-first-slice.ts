/** The first schema. Masses and temperatures are DECIMAL, instants DATETIME(3) in UTC. Frozen: change it by a later migration. */
export const name = '2026-11-23-first-slice'

const ID = 'id INT NOT NULL AUTO_INCREMENT PRIMARY KEY'
const GRAMS = 'DECIMAL(13,4)'
const CELSIUS = 'DECIMAL(7,3)'
const SHARE = 'DECIMAL(10,8)'
const AT = 'DATETIME(3) NOT NULL'
const ref = (column: string, table: string, nullable = false) =>
  `${column} INT ${nullable ? 'NULL' : 'NOT NULL'}, FOREIGN KEY (${column}) REFERENCES ${table} (id)`
const table = (tableName: string, ...lines: string[]) =>
  `CREATE TABLE ${tableName} (${[ID, ...lines].join(', ')}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`

export const up: readonly string[] = [
  table('shops', 'name VARCHAR(255) NOT NULL', 'zone VARCHAR(64) NOT NULL', 'rule_set_id VARCHAR(32) NOT NULL',
    'house_target_ppm DECIMAL(8,3) NOT NULL', 'turn_every_days DECIMAL(3,1) NOT NULL', 'turn_by CHAR(5) NOT NULL',
    'rules_confirmed_by VARCHAR(255) NULL', 'rules_confirmed_on DATE NULL', 'rules_reference VARCHAR(255) NULL'),
  table('users', 'sign_in VARCHAR(64) NOT NULL UNIQUE', 'name VARCHAR(255) NOT NULL', 'initials VARCHAR(8) NOT NULL',
    'role VARCHAR(16) NOT NULL', 'password_hash VARCHAR(255) NOT NULL', 'notation JSON NOT NULL', 'active BOOLEAN NOT NULL'),
  table('sign_in_attempts', 'sign_in VARCHAR(64) NOT NULL', 'address VARCHAR(64) NOT NULL', `at ${AT}`, 'succeeded BOOLEAN NOT NULL',
    'KEY by_name (sign_in, at)', 'KEY by_address (address, at)'),
  table('scales', 'name VARCHAR(255) NOT NULL', 'purpose VARCHAR(8) NOT NULL', `readability_g ${GRAMS} NOT NULL`),
  table('fridges', 'name VARCHAR(255) NOT NULL UNIQUE'),
  table('parties', 'kind VARCHAR(16) NOT NULL', 'name VARCHAR(255) NOT NULL', 'UNIQUE KEY kind_name (kind, name)'),
  table('meat_lots', 'code VARCHAR(16) NOT NULL UNIQUE', ref('supplier_id', 'parties'), 'supplier_lot VARCHAR(255) NOT NULL',
    'cut VARCHAR(16) NOT NULL', 'rind VARCHAR(8) NOT NULL', `weight_g ${GRAMS} NOT NULL`, 'weight_typed VARCHAR(64) NOT NULL',
    `temperature_c ${CELSIUS} NOT NULL`, 'temperature_typed VARCHAR(32) NOT NULL', 'pack_date DATE NULL', 'note VARCHAR(500) NULL',
    `received_at ${AT}`, ref('received_by_id', 'users')),
  table('ingredient_lots', 'code VARCHAR(16) NOT NULL UNIQUE', 'kind VARCHAR(16) NOT NULL', 'name VARCHAR(255) NOT NULL',
    ref('supplier_id', 'parties'), 'supplier_lot VARCHAR(255) NOT NULL', `amount_g ${GRAMS} NOT NULL`, 'amount_typed VARCHAR(64) NOT NULL',
    'best_before DATE NULL', 'certificate VARCHAR(255) NULL', `nitrite_fraction ${SHARE} NOT NULL`, 'nitrite_as VARCHAR(8) NOT NULL',
    `nitrate_fraction ${SHARE} NOT NULL`, `salt_fraction ${SHARE} NOT NULL`, `label_tolerance ${SHARE} NOT NULL`,
    `received_at ${AT}`, ref('received_by_id', 'users')),
  table('lots', 'code VARCHAR(16) NOT NULL UNIQUE', 'cut VARCHAR(16) NOT NULL', 'rind VARCHAR(8) NOT NULL', 'salt_only BOOLEAN NOT NULL',
    ref('fridge_id', 'fridges'), `rubbed_at ${AT}`, 'rubbed_on DATE NOT NULL', 'zone VARCHAR(64) NOT NULL', ref('rubbed_by_id', 'users'),
    'thickness_mm DECIMAL(7,2) NOT NULL', 'ready_from_day INT NOT NULL', 'best_by_day INT NOT NULL',
    'turn_every_days DECIMAL(3,1) NOT NULL', 'turn_by CHAR(5) NOT NULL', `meat_readability_g ${GRAMS} NOT NULL`, `mix_readability_g ${GRAMS} NOT NULL`, 'targets JSON NOT NULL', 'judgement JSON NOT NULL',
    'drained_at DATETIME(3) NULL', 'cure_ended_at DATETIME(3) NULL', `ready_g ${GRAMS} NULL`, 'ready_typed VARCHAR(64) NULL', 'note VARCHAR(500) NULL'),
  table('pieces', ref('lot_id', 'lots'), 'number INT NOT NULL', ref('meat_lot_id', 'meat_lots'), `green_g ${GRAMS} NOT NULL`,
    'green_typed VARCHAR(64) NOT NULL', 'readings INT NOT NULL', 'UNIQUE KEY lot_number (lot_id, number)'),
  table('lot_ingredients', ref('lot_id', 'lots'), ref('ingredient_lot_id', 'ingredient_lots'), 'role VARCHAR(8) NOT NULL',
    `planned_g ${GRAMS} NOT NULL`, `weighed_g ${GRAMS} NOT NULL`, 'weighed_typed VARCHAR(64) NOT NULL'),
  table('turns', ref('lot_id', 'lots'), `at ${AT}`, ref('by_id', 'users'), 'voided BOOLEAN NOT NULL'),
  table('fridge_readings', ref('fridge_id', 'fridges'), `at ${AT}`, `temp_c ${CELSIUS} NOT NULL`, 'typed VARCHAR(32) NOT NULL',
    ref('by_id', 'users'), 'KEY fridge_at (fridge_id, at)'),
  table('holds', ref('lot_id', 'lots'), 'reason VARCHAR(32) NOT NULL', `placed_at ${AT}`, 'disposition VARCHAR(16) NULL',
    'disposition_text VARCHAR(500) NULL', 'disposed_at DATETIME(3) NULL', ref('disposed_by_id', 'users', true)),
  table('offcuts', ref('lot_id', 'lots'), 'kind VARCHAR(16) NOT NULL', `mass_g ${GRAMS} NOT NULL`, 'mass_typed VARCHAR(64) NOT NULL',
    `at ${AT}`, ref('by_id', 'users')),
  table('dispatches', ref('customer_id', 'parties'), 'sent_on DATE NOT NULL', `sent_at ${AT}`, ref('sent_by_id', 'users')),
  table('packs', 'code VARCHAR(16) NOT NULL UNIQUE', ref('lot_id', 'lots'), 'kind VARCHAR(16) NOT NULL', `net_g ${GRAMS} NOT NULL`,
    'net_typed VARCHAR(64) NOT NULL', 'packed_on DATE NOT NULL', `packed_at ${AT}`, ref('packed_by_id', 'users'), ref('dispatch_id', 'dispatches', true)),
  table('runs', 'code VARCHAR(16) NOT NULL UNIQUE', 'smoker VARCHAR(255) NOT NULL', `target_core_c ${CELSIUS} NOT NULL`, `started_at ${AT}`,
    ref('started_by_id', 'users'), 'pulled_at DATETIME(3) NULL', ref('pulled_by_id', 'users', true), 'outcome VARCHAR(16) NULL'),
  table('run_pieces', ref('run_id', 'runs'), ref('piece_id', 'pieces'), 'UNIQUE KEY run_piece (run_id, piece_id)'),
  table('run_readings', ref('run_id', 'runs'), 'phase VARCHAR(8) NOT NULL', `at ${AT}`, `chamber_c ${CELSIUS} NULL`, `core_c ${CELSIUS} NULL`,
    'typed VARCHAR(64) NOT NULL', 'source VARCHAR(8) NOT NULL', ref('by_id', 'users'), 'UNIQUE KEY run_phase_at (run_id, phase, at)'),
  table('events', 'kind VARCHAR(32) NOT NULL', ref('user_id', 'users'), `at ${AT}`, 'zone VARCHAR(64) NOT NULL', 'arithmetic VARCHAR(16) NOT NULL',
    'typed JSON NOT NULL', 'computed JSON NOT NULL', 'reason VARCHAR(500) NULL', 'KEY by_at (at)'),
  table('event_subjects', ref('event_id', 'events'), 'code VARCHAR(16) NOT NULL', 'KEY by_code (code, event_id)'),
  table('answers', 'client_key CHAR(36) NOT NULL UNIQUE', ref('user_id', 'users'), 'request_hash CHAR(64) NOT NULL', 'answer JSON NULL'),
  table('code_counters', 'kind VARCHAR(16) NOT NULL UNIQUE', 'last INT NOT NULL'),
  `INSERT INTO code_counters (kind, last) VALUES ('meat', 0), ('ingredient', 0), ('lot', 0), ('run', 0), ('pack', 0)`,
]

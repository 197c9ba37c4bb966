import { AT, CELSIUS, ref, table } from './migration'

/**
 * Scales become instruments beside thermometers; their checks, and which of them took a reading. Frozen: change it by a
 * later migration.
 */
export const name = '2026-11-23-instruments'

const EVERY_DAYS = { scale: 30, thermometer: 30 }
const refTo = (column: string, target: string) =>
  `ADD ${column} INT NULL, ADD FOREIGN KEY (${column}) REFERENCES ${target} (id)`

export const up: readonly string[] = [
  table(
    'instruments',
    'kind VARCHAR(16) NOT NULL',
    'name VARCHAR(255) NOT NULL',
    'purpose VARCHAR(8) NULL',
    'readability DECIMAL(13,4) NOT NULL',
    `offset_c ${CELSIUS} NOT NULL DEFAULT 0`,
    'every_days INT NOT NULL',
    'in_use BOOLEAN NOT NULL DEFAULT 1',
  ),
  `INSERT INTO instruments (id, kind, name, purpose, readability, every_days) SELECT id, 'scale', name, purpose, `
  + `readability_g, ${EVERY_DAYS.scale} FROM scales`,
  'DROP TABLE scales',
  table(
    'instrument_checks',
    ref('instrument_id', 'instruments'),
    'method VARCHAR(16) NOT NULL',
    'reference_value DECIMAL(13,4) NOT NULL',
    'read_value DECIMAL(13,4) NOT NULL',
    'read_typed VARCHAR(64) NOT NULL',
    'error_value DECIMAL(13,4) NOT NULL',
    'passed BOOLEAN NOT NULL',
    `offset_c ${CELSIUS} NOT NULL`,
    `offset_before_c ${CELSIUS} NOT NULL`,
    `at ${AT}`,
    ref('by_id', 'users'),
    'note VARCHAR(500) NULL',
    'voided INT NOT NULL DEFAULT 0',
  ),
  `ALTER TABLE fridges ${refTo('thermometer_id', 'instruments')}`,
  `ALTER TABLE fridge_readings ${refTo('thermometer_id', 'instruments')}, ADD offset_c ${CELSIUS} NOT NULL DEFAULT 0`,
  `ALTER TABLE runs ${refTo('core_thermometer_id', 'instruments')}, ${refTo('chamber_thermometer_id', 'instruments')}`,
  `ALTER TABLE run_readings ADD core_offset_c ${CELSIUS} NOT NULL DEFAULT 0, ADD chamber_offset_c ${CELSIUS} NOT NULL DEFAULT 0`,
  `ALTER TABLE lots ${refTo('meat_scale_id', 'instruments')}, ${refTo('mix_scale_id', 'instruments')}`,
  `ALTER TABLE packs ${refTo('scale_id', 'instruments')}`,
]

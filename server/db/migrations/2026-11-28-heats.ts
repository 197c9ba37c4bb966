import { ref, table } from './migration'

/**
 * Readings of a smoke have a version, and what finished heats came to is kept. Frozen: change it by a later migration.
 */
export const name = '2026-11-28-heats'

export const up: readonly string[] = [
  'ALTER TABLE runs ADD readings_version INT NULL',
  table(
    'heat_judgements',
    ref('lot_id', 'lots'),
    'inputs CHAR(64) NOT NULL',
    'judged JSON NOT NULL',
    'UNIQUE KEY lot (lot_id)',
  ),
]

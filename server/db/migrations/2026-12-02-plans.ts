import { AT, ref, table } from './migration'

/**
 * What is intended with a lot. Lots from before have none: the shop's usual way is assumed of them. May be run again.
 * Frozen: change it by a later migration.
 */
export const name = '2026-12-02-plans'

export const up: readonly string[] = [
  table(
    'plans',
    ref('lot_id', 'lots'),
    'number INT NOT NULL',
    'content JSON NOT NULL',
    'assumed BOOLEAN NOT NULL DEFAULT FALSE',
    'piece_ids JSON NULL',
    'reason VARCHAR(500) NULL',
    `at ${AT}`,
    ref('by_id', 'users'),
    'voided INT NOT NULL DEFAULT 0',
    'UNIQUE KEY of_lot (lot_id, voided, number)',
  ).replace('CREATE TABLE', 'CREATE TABLE IF NOT EXISTS'),
]

import { AT, ref, table } from './migration'

/**
 * Lists of what is looked at and cleaned before use, and each time one was gone through. May be run again. Frozen: change
 * it by a later migration.
 */
export const name = '2026-12-07-place-checks'

const unlessThere = (sql: string) => sql.replace('CREATE TABLE', 'CREATE TABLE IF NOT EXISTS')

export const up: readonly string[] = [
  unlessThere(
    table(
      'check_lists',
      'name VARCHAR(120) NOT NULL',
      ref('place_id', 'places', true),
      'items JSON NOT NULL',
      'asked VARCHAR(16) NOT NULL',
      'good_for_hours INT NOT NULL',
      'in_use BOOLEAN NOT NULL',
    ),
  ),
  unlessThere(
    table(
      'place_checks',
      ref('list_id', 'check_lists'),
      `at ${AT}`,
      ref('by_id', 'users'),
      'items JSON NOT NULL',
      'done JSON NOT NULL',
      'passed BOOLEAN NOT NULL',
      'cleaned_with VARCHAR(120) NULL',
      'note VARCHAR(500) NULL',
      'voided BOOLEAN NOT NULL DEFAULT FALSE',
      'KEY list_last (list_id, voided, at)',
    ),
  ),
]

import { AT, ref, table } from './migration'

/** Packs that came back from a customer. May be run again. Frozen: change it by a later migration. */
export const name = '2026-12-13-pack-returns'

export const up: readonly string[] = [
  table(
    'pack_returns',
    ref('pack_id', 'packs'),
    ref('lot_id', 'lots'),
    ref('dispatch_id', 'dispatches'),
    ref('place_id', 'places', true),
    `at ${AT}`,
    ref('by_id', 'users'),
    'reason VARCHAR(500) NOT NULL',
    'disposition VARCHAR(16) NULL',
    'disposition_text VARCHAR(500) NULL',
    'disposed_at DATETIME(3) NULL',
    ref('disposed_by_id', 'users', true),
    'voided BOOLEAN NOT NULL DEFAULT FALSE',
    'KEY lot_state (lot_id, voided, disposition)',
  ).replace('CREATE TABLE', 'CREATE TABLE IF NOT EXISTS'),
]

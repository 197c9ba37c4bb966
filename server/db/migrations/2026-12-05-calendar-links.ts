import { AT, ref, table } from './migration'

/** Secret addresses of calendars, each kept as its hash. May be run again. Frozen: change it by a later migration. */
export const name = '2026-12-05-calendar-links'

export const up: readonly string[] = [
  table(
    'calendar_links',
    'token_hash CHAR(64) NOT NULL',
    ref('user_id', 'users'),
    `at ${AT}`,
    'ended_at DATETIME(3) NULL',
    'seen_at DATETIME(3) NULL',
    'UNIQUE KEY token_hash (token_hash)',
  ).replace('CREATE TABLE', 'CREATE TABLE IF NOT EXISTS'),
]

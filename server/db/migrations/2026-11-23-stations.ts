import { AT, ref, table } from './migration'

/** Sign-ins that can be ended, shared tablets, PINs. Frozen: change it by a later migration. */
export const name = '2026-11-23-stations'

export const up: readonly string[] = [
  'ALTER TABLE users ADD pin_hash VARCHAR(255) NULL',
  `ALTER TABLE sign_in_attempts ADD kind VARCHAR(8) NOT NULL DEFAULT 'password'`,
  table(
    'sessions',
    'token_hash CHAR(64) NOT NULL UNIQUE',
    ref('user_id', 'users'),
    'station VARCHAR(120) NOT NULL',
    'shared BOOLEAN NOT NULL',
    `started_at ${AT}`,
    `ends_at ${AT}`,
    'ended_at DATETIME(3) NULL',
    ref('signer_id', 'users', true),
    'signed_until DATETIME(3) NULL',
  ),
]

import { AT, ref, table } from './migration'

/** Known devices, confirmed sign-ins, a second factor. Frozen: change it by a later migration. */
export const name = '2026-11-26-door'

export const up: readonly string[] = [
  'ALTER TABLE sessions ADD confirmed_until DATETIME(3) NULL, ADD seen_at DATETIME(3) NULL',
  'ALTER TABLE sign_in_attempts ADD device CHAR(64) NULL, ADD step INT NULL',
  'ALTER TABLE users ADD totp_secret VARCHAR(64) NULL, ADD recovery_hashes JSON NULL',
  table(
    'known_devices',
    'token_hash CHAR(64) NOT NULL',
    ref('user_id', 'users'),
    `at ${AT}`,
    'UNIQUE KEY device_user (token_hash, user_id)',
  ),
]

/**
 * A one-time code counts once however many send it; and no digest of a password without a key is kept. Frozen: change
 * it by a later migration.
 */
export const name = '2026-11-27-door-once'

export const up: readonly string[] = [
  // Codes of earlier minutes open nothing any more, and two that raced would stand in the key's way.
  'UPDATE sign_in_attempts SET step = NULL',
  'ALTER TABLE sign_in_attempts ADD UNIQUE KEY code_once (kind, sign_in, step)',
  // The keys stay, so that nothing that was stored is stored again.
  'UPDATE answers SET request_hash = \'\', answer = NULL',
]

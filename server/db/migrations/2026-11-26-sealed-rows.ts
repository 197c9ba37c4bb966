import { ref, table } from './migration'

/** Records carry the digests of the rows that they wrote. Frozen: change it by a later migration. */
export const name = '2026-11-26-sealed-rows'

export const up: readonly string[] = [
  table('event_rows', ref('event_id', 'events'), 'touched MEDIUMTEXT NOT NULL', 'UNIQUE KEY event (event_id)'),
]

/**
 * Unique keys by table and index, as the migrations make them; `tables.test.ts` holds this list against the schema.
 * What is null in a key is never twice.
 */
export const UNIQUE_KEYS: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  answers: { client_key: ['clientKey'] },
  bench_cards: { code: ['code'] },
  calendar_links: { token_hash: ['tokenHash'] },
  code_counters: { kind: ['kind'] },
  deliveries: { code: ['code'] },
  events: { voids: ['voidsId'] },
  event_rows: { event: ['eventId'] },
  files: { sha256: ['sha256'] },
  heat_judgements: { lot: ['lotId'] },
  ingredient_lots: { code: ['code'] },
  known_devices: { device_user: ['tokenHash', 'userId'] },
  lots: { code: ['code'] },
  meat_lots: { code: ['code'] },
  packs: { code: ['code'] },
  parties: { kind_name: ['kind', 'name'] },
  pieces: { lot_number_part: ['lotId', 'number', 'part', 'voided'] },
  places: { name: ['name'], code: ['code'] },
  plans: { of_lot: ['lotId', 'voided', 'number'] },
  recipes: { code: ['code'] },
  recipe_revisions: { recipe_id: ['recipeId', 'number'] },
  rule_sets: { rule_set_id: ['ruleSetId'] },
  runs: { code: ['code'] },
  run_pieces: { run_piece: ['runId', 'pieceId', 'voided'] },
  run_readings: { run_phase_at: ['runId', 'phase', 'atMs', 'voided'] },
  sessions: { token_hash: ['tokenHash'] },
  sign_in_attempts: { code_once: ['kind', 'signIn', 'step'] },
  users: { sign_in: ['signIn'] },
}

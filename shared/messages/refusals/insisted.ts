import type { RefusalCode } from './catalogue'

const LIES_THERE = 'It lies on the meat already'
const HANGS_THERE = 'It is there already'
const SURE = 'I am sure'

/** Refusals that a press may insist on, and what its button then says: done, it is told all the same. */
const INSISTED = {
  add_over: LIES_THERE,
  add_unweighed: LIES_THERE,
  add_too_salty: LIES_THERE,
  agent_on_salt_only: LIES_THERE,
  salt_iodised: LIES_THERE,
  ingredient_expired: LIES_THERE,
  agent_expired: LIES_THERE,
  agent_no_certificate: LIES_THERE,
  agent_long_dried_only: LIES_THERE,
  agent_no_nitrite: LIES_THERE,
  mix_spiced_stored: LIES_THERE,
  nitrate_refused: LIES_THERE,
  hang_wet: HANGS_THERE,
  hang_salt_only: HANGS_THERE,
  hang_salt_unknown: HANGS_THERE,
  fry_without_soak: 'Tasted without a soak',
  drained_much: SURE,
  cut_heavier: SURE,
  cut_missing: SURE,
  weighed_above_last: SURE,
} satisfies Partial<Record<RefusalCode, string>>

/** What its button says; null where a refusal stands. */
export const insistedWords = (code: string): string | null =>
  code in INSISTED ? INSISTED[code as keyof typeof INSISTED] : null

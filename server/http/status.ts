import type { ACCESS } from '#shared/messages/refusals/access'
import { MISSING } from '#shared/messages/refusals/missing'
import { SETTLED } from '#shared/messages/refusals/settled'
import type { OURS } from '#shared/messages/refusals/ours'
import type { RefusalCode } from '#shared/messages/refusals/catalogue'

const STATUS_OF_ACCESS: Record<keyof typeof ACCESS, 400 | 401 | 403 | 413 | 415 | 429> = {
  key_missing: 400,
  not_json: 400,
  too_deep: 400,
  code_needed: 401,
  code_wrong: 401,
  not_signed_in: 401,
  pin_wrong: 401,
  sign_in_wrong: 401,
  cross_site: 403,
  not_your_role: 403,
  own_sign_in_needed: 403,
  password_again: 403,
  pin_needed: 403,
  setup_closed: 403,
  setup_code_wrong: 403,
  file_too_large: 413,
  files_much: 429,
  too_large: 413,
  not_json_type: 415,
  password_closed: 429,
  pin_closed: 429,
  pin_spent: 429,
  asked_too_often: 429,
  sign_in_closed: 429,
}
const STATUS_OF_OURS: Record<keyof typeof OURS, 500 | 503 | 507> = {
  our_fault: 500,
  database_lost: 503,
  export_busy: 503,
  offline: 503,
  disk_full: 507,
  disk_low: 507,
}

const isOf = <Kind extends object>(kind: Kind, code: string): code is keyof Kind & string => Object.hasOwn(kind, code)

/**
 * The status of a refusal, by its kind (RFC 9110): what is not there in the address is 404, in a field 422; what stands
 * against what is so, 409; what came in by the wrong door, 4xx by code; our own faults 5xx; all the rest 422.
 */
export function statusOf(code: RefusalCode, aboutField: boolean): number {
  if (isOf(STATUS_OF_ACCESS, code)) return STATUS_OF_ACCESS[code]
  if (isOf(STATUS_OF_OURS, code)) return STATUS_OF_OURS[code]
  if (isOf(SETTLED, code)) return 409
  return isOf(MISSING, code) && !aboutField ? 404 : 422
}

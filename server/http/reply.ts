import { setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { Problem } from '#shared/contracts/problem'
import { refuse, type Answer, type Refusal } from '../services/context'
import type { FieldFault } from '#shared/contracts/issues'
import { logFailure } from './log'
import { problemOf } from './words'

const UNPROCESSABLE = 422
const STATUS_OF_CODE: Record<string, number> = {
  key_missing: 400,
  not_json: 400,
  not_json_type: 415,
  too_deep: 400,
  sign_in_wrong: 401,
  pin_wrong: 401,
  not_signed_in: 401,
  not_your_role: 403,
  cross_site: 403,
  pin_needed: 403,
  own_sign_in_needed: 403,
  too_large: 413,
  file_too_large: 413,
  sign_in_closed: 429,
  pin_closed: 429,
  password_closed: 429,
  pin_spent: 429,
  code_needed: 401,
  code_wrong: 401,
  password_again: 403,
  setup_code_wrong: 403,
  setup_closed: 403,
  disk_low: 507,
}

export function replyProblem(event: H3Event, problem: Problem): Problem {
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return problem
}

export function replyRefusal(event: H3Event, refusal: Refusal): Problem {
  const status = refusal.status ?? STATUS_OF_CODE[refusal.code] ?? UNPROCESSABLE
  const faults = refusal.path
    ? [{ path: refusal.path, code: refusal.code, ...(refusal.params ? { params: refusal.params } : {}) }]
    : []
  return replyProblem(event, problemOf(status, refusal.code, refusal.params, faults))
}

export const replyFaults = (event: H3Event, faults: FieldFault[]): Problem =>
  replyProblem(
    event,
    problemOf(
      UNPROCESSABLE,
      'invalid_input',
      { count: new Set(faults.map(fault => fault.path.join('.'))).size },
      faults,
    ),
  )

export const replyAnswer = <T>(event: H3Event, answer: Answer<T>): T | Problem =>
  answer.ok ? answer.value : replyRefusal(event, answer)

const codeOf = (error: unknown): string =>
  (error as { parent?: { code?: string } }).parent?.code ?? (error as { code?: string }).code ?? ''
/** No way to the database, the way broke off in the middle, or it does not answer. */
const isLost = (error: unknown): boolean =>
  /^Sequelize(Connection|HostNotReachable|HostNotFound|InvalidConnection)/.test((error as { name?: string }).name ?? '')
  || /^(ER_SOCKET|ER_CONNECTION|ER_CMD_CONNECTION|ER_SERVER_SHUTDOWN|ER_POOL|ER_STATEMENT_TIMEOUT|ER_LOCK_WAIT_TIMEOUT|ECONN|EPIPE)/.test(
    codeOf(error),
  )
const isDiskFull = (error: unknown): boolean =>
  ['ER_RECORD_FILE_FULL', 'ER_DISK_FULL', 'ER_ERROR_ON_WRITE', 'ER_TEMP_FILE_WRITE_FAILURE', 'ENOSPC'].includes(
    codeOf(error),
  )

/** All lines for what takes long are in use. */
const isBusy = (error: unknown): boolean =>
  (error as { name?: string }).name === 'SequelizeConnectionAcquireTimeoutError'

/** A fault of ours: logged here, told without its insides. A lost database and a full disk say so. */
export function replyFailure(event: H3Event, error: unknown): Problem {
  logFailure(error, event)
  if (event.path.startsWith('/api/export') && isBusy(error))
    return replyProblem(event, problemOf(503, 'export_busy', {}))
  if (isDiskFull(error)) return replyProblem(event, problemOf(507, 'disk_full', {}))
  return replyProblem(event, isLost(error) ? problemOf(503, 'database_lost', {}) : problemOf(500, 'our_fault', {}))
}

export { refuse }

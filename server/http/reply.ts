import { setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { Problem } from '#shared/contracts/problem'
import type { Answer, Refusal } from '../services/context'
import type { FieldFault } from '#shared/contracts/issues'
import type { OURS } from '#shared/messages/refusals/ours'
import { logFailure, logRefused } from './log'
import { statusOf } from './status'
import { problemOf } from './words'

const UNPROCESSABLE = 422

export function replyProblem(event: H3Event, problem: Problem): Problem {
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return problem
}

export function replyRefusal(event: H3Event, refusal: Refusal): Problem {
  const status = statusOf(refusal.code, refusal.path !== undefined)
  // Who knocks where they may not, or too often, stands in the log; a page that was left open over night does not.
  if (status === 403 || status === 429) logRefused(refusal.code, event)
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

function codeOfFailure(event: H3Event, error: unknown): keyof typeof OURS {
  if (event.path.startsWith('/api/export') && isBusy(error)) return 'export_busy'
  if (isDiskFull(error)) return 'disk_full'
  return isLost(error) ? 'database_lost' : 'our_fault'
}

/** A fault of ours: logged here, told without its insides. A lost database and a full disk say so. */
export function replyFailure(event: H3Event, error: unknown): Problem {
  logFailure(error, event)
  const code = codeOfFailure(event, error)
  return replyProblem(event, problemOf(statusOf(code, false), code, undefined))
}

import { setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { Problem } from '#shared/contracts/problem'
import { refuse, type Answer, type Refusal } from '../services/context'
import type { FieldFault } from '#shared/contracts/issues'
import { problemOf } from './words'

const UNPROCESSABLE = 422
const STATUS_OF_CODE: Record<string, number> = {
  key_missing: 400, not_json: 400, sign_in_wrong: 401, pin_wrong: 401, not_signed_in: 401, not_your_role: 403, cross_site: 403, pin_needed: 403,
  own_sign_in_needed: 403, too_large: 413, file_too_large: 413, sign_in_closed: 429, pin_closed: 429,
}

export function replyProblem(event: H3Event, problem: Problem): Problem {
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return problem
}

export function replyRefusal(event: H3Event, refusal: Refusal): Problem {
  const status = refusal.status ?? STATUS_OF_CODE[refusal.code] ?? UNPROCESSABLE
  const faults = refusal.path ? [{ path: refusal.path, code: refusal.code, ...(refusal.params ? { params: refusal.params } : {}) }] : []
  return replyProblem(event, problemOf(status, refusal.code, refusal.params, faults))
}

export const replyFaults = (event: H3Event, faults: FieldFault[]): Problem =>
  replyProblem(event, problemOf(UNPROCESSABLE, 'invalid_input', { count: faults.length }, faults))

export const replyAnswer = <T>(event: H3Event, answer: Answer<T>): T | Problem =>
  answer.ok ? answer.value : replyRefusal(event, answer)

/** A fault of ours: logged whole here, told without its insides. A lost database says so. */
export function replyFailure(event: H3Event, error: unknown): Problem {
  console.error(error)
  const name = (error as { name?: string }).name ?? ''
  const lost = name.startsWith('SequelizeConnection') || name === 'SequelizeHostNotReachableError'
  return replyProblem(event, lost ? problemOf(503, 'database_lost', {}) : problemOf(500, 'our_fault', {}))
}

export { refuse }

import { setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { Problem } from '#shared/contracts/problem'
import type { Answer, Refusal } from '../services/context'
import type { FieldFault } from '#shared/faults/issues'
import { failureCode } from './failure-code'
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

/** A fault of ours: logged here, told without its insides. A lost database and a full disk say so. */
export function replyFailure(event: H3Event, error: unknown): Problem {
  logFailure(error, event)
  const code = failureCode(event.path, error)
  return replyProblem(event, problemOf(statusOf(code, false), code, undefined))
}

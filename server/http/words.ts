import { DEFAULT_NOTATION } from '#core/units/format'
import { wordsFor, type RefusalCode } from '#shared/messages/refusals/catalogue'
import type { FieldFault } from '#shared/faults/issues'
import type { FieldError, Problem } from '#shared/contracts/problem'

const SAYS_WHAT_IS_KEPT = /Nothing was recorded/

/**
 * Problem details (RFC 9457) from a code, with the fields at fault. Browsers word the codes again in the person's
 * units.
 */
export function problemOf(
  status: number,
  code: RefusalCode,
  params: FieldFault['params'],
  faults: readonly FieldFault[] = [],
): Problem {
  const errors = faults.map((fault): FieldError => ({
    ...fault,
    detail: wordsFor(fault.code, fault.params, DEFAULT_NOTATION),
  }))
  const detail = code === 'invalid_input' && errors[0] ? errors[0].detail : wordsFor(code, params, DEFAULT_NOTATION)
  return {
    type: `urn:veldmoor:problem:${code}`,
    title: TITLES[status] ?? 'Not done',
    status,
    code,
    detail: SAYS_WHAT_IS_KEPT.test(detail) ? detail : `${detail} Nothing was saved.`,
    ...(errors.length ? { errors } : {}),
  }
}

const TITLES: Record<number, string> = {
  400: 'Cannot be read',
  401: 'Sign in first',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Already done',
  413: 'Too large',
  415: 'Cannot be read',
  422: 'Cannot be recorded',
  429: 'Too many tries',
  500: 'Our fault',
  503: 'The records cannot be reached',
  507: 'No room left',
}

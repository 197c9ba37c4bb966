import type { z } from 'zod'
import type { ENTRIES } from './entries'

/** A field's fault as it goes over the line: its code, and the figures for the code's words. */
export interface FieldFault {
  path: (string | number)[]
  code: string
  params?: Record<string, string | number>
}

/** Codes of entries whose words need no figures. */
export type EntryCode = {
  [C in keyof typeof ENTRIES]: Parameters<(typeof ENTRIES)[C]> extends [] ? C : never
}[keyof typeof ENTRIES]

/** Names what a contract says of an entry, for the words: `.min(1, named('empty'))`. */
export const named = (code: EntryCode) => ({ error: code })

type Issue = z.core.$ZodIssue

const CODE_OF_ISSUE: Record<string, EntryCode> = {
  invalid_type: 'missing',
  too_small: 'too_small',
  too_big: 'too_great',
  invalid_value: 'not_in_list',
  invalid_format: 'not_in_form',
  unrecognized_keys: 'unknown_field',
  invalid_union: 'not_in_list',
  not_multiple_of: 'not_in_form',
}

/** Limits that read alike in every unit: of letters, and of lines. */
const LIMIT_CODES = { string: 'longer_than', array: 'more_than' } as const
const isCounted = (origin: string): origin is keyof typeof LIMIT_CODES => origin in LIMIT_CODES

/** Contract faults as data, one code a field: the same on both sides of the wire. */
export function faultsOf(error: z.ZodError): FieldFault[] {
  return error.issues.map((issue: Issue) => {
    const path = issue.path.map(key => (typeof key === 'number' ? key : String(key)))
    if (issue.code === 'custom') {
      const { code, ...params } = (issue.params ?? {}) as Record<string, string | number>
      return { path, code: String(code ?? issue.message), params }
    }
    // A named refusal ("empty") was put into the contract as the message; a stock sentence was not.
    const named = /^[a-z]+(_[a-z0-9]+)*$/.test(issue.message) ? issue.message : null
    if (!named && issue.code === 'too_big' && isCounted(issue.origin))
      return { path, code: LIMIT_CODES[issue.origin], params: { most: Number(issue.maximum) } }
    return { path, code: named ?? CODE_OF_ISSUE[issue.code] ?? 'not_in_form' }
  })
}

/** An expected failure is data: a `code` for the words, and the figures the words need. */
export type Failure<Code extends string = string> = { ok: false; code: Code; params?: Record<string, string | number> }
export type Result<T, Code extends string = string> = { ok: true; value: T } | Failure<Code>

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value })

export const fail = <Code extends string>(code: Code, params?: Record<string, string | number>): Failure<Code> =>
  params ? { ok: false, code, params } : { ok: false, code }

import type { Failures } from './failures'

/** Codes of a catalogue whose words need no figures. */
type Bare<Catalogue, Code extends keyof Catalogue> = keyof Catalogue[Code] extends never ? true : false

/** The figures of a code as arguments: none where its words need none. */
export type FiguresOf<Catalogue, Code extends keyof Catalogue> = Bare<Catalogue, Code> extends true
  ? []
  : [params: Catalogue[Code]]

/** One code of a catalogue with its figures, as data. */
export type FailureOf<Catalogue, Code extends keyof Catalogue = keyof Catalogue> = {
  [C in Code]: { ok: false; code: C } & (Bare<Catalogue, C> extends true ? { params?: undefined } : { params: Catalogue[C] })
}[Code]

export type FailureCode = keyof Failures
/** An expected failure is data: a `code` for the words, and the figures the words need. */
export type Failure<Code extends FailureCode = FailureCode> = FailureOf<Failures, Code>
export type Result<T, Code extends FailureCode = FailureCode> = { ok: true; value: T } | Failure<Code>

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value })

export const fail = <Code extends FailureCode>(code: Code, ...[params]: FiguresOf<Failures, Code>): Failure<Code> =>
  (params ? { ok: false, code, params } : { ok: false, code }) as Failure<Code>

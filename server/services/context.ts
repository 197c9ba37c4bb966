import type { Milliseconds } from '#core/units/quantities'
import type { None } from '#core/failures'
import type { Failure } from '#core/result'
import type { EventKind } from '#shared/contracts/event-kinds'
import type { Role } from '#shared/contracts/people'
import type { NewComputedOf, TypedOf } from '#shared/contracts/records'
import type { FiguresOfRefusal, RefusalCode } from '#shared/messages/refusals/catalogue'
import type { Tables } from '../db/database'

/** Who writes, where, when, and where the shop's clock hangs. The clock is an argument: services read none. */
export interface Writer {
  actor: { id: number; role: Role; name: string }
  /** The device it is written on, as the shop calls it. */
  station: string
  nowMs: Milliseconds
  zone: string
  /** Somebody looked at the clock and said that it is right. */
  clockRight?: boolean
}

/** What a service adds to the book, with just what a record of its kind holds. */
export type NewEvent<Kind extends EventKind = EventKind> = {
  [K in Kind]: {
    kind: K
    /** Codes of everything the record is about: each shows it in its own book. */
    subjects: readonly string[]
    typed: TypedOf<K>
    reason?: string
    /** The earlier record that this one voids. */
    voidsId?: number
    /** Ids of the steps that it tells of, and of those that it ended: each learns the record's number. */
    steps?: readonly number[]
    endsSteps?: readonly number[]
    /** Open holds whose trouble follows no more: they learn the record's number too. */
    changesHolds?: readonly number[]
  } & (keyof NewComputedOf<K> extends never ? { computed?: undefined } : { computed: NewComputedOf<K> })
}[Kind]

export interface WriteContext extends Writer {
  tables: Tables
  /** Records of this write, chained into the book together at its end. */
  entries: NewEvent[]
  /** An upgrade judges by the rules of this version: the holds it places say so. */
  byRules?: string
  /** Open holds that this write took the ground from. */
  changedHolds?: number[]
}

/** The way to a field of what was sent. */
export type FieldPath = (string | number)[]

/**
 * An expected refusal: a code with the figures for its words, and the field it is about. Which figures a code needs is
 * checked where it is made, by `refuse`: a union of all codes would be compared code by code at every call.
 */
export interface Refusal {
  ok: false
  code: RefusalCode
  params?: Record<string, string | number>
  path?: FieldPath
}

export type Answer<T> = { ok: true; value: T } | Refusal

type WithPath<Figures extends unknown[]> = Figures extends [infer One] ? [params: One, path?: FieldPath] : [params?: None, path?: FieldPath]

/** A refusal with every figure its words need, or it does not compile. */
export const refuse = <Code extends RefusalCode>(
  code: Code,
  ...[params, path]: WithPath<FiguresOfRefusal<Code>>
): Refusal =>
  ({ ok: false, code, ...(params ? { params: params as Refusal['params'] } : {}), ...(path ? { path } : {}) })

/** What core refused, about a field. */
export const refuseAt = (path: FieldPath, failure: Failure): Refusal => ({ ...failure, path }) as Refusal

import type { Failure } from '#core/result'
import type { EventKind } from '#shared/contracts/events'
import type { FieldFault } from '#shared/contracts/issues'
import type { Role } from '#shared/contracts/people'
import type { Tables } from '../db/store'

/** Who writes, where, when, and where the shop's clock hangs. The clock is an argument: services read none. */
export interface Writer {
  actor: { id: number; role: Role; name: string }
  /** The device it is written on, as the shop calls it. */
  station: string
  nowMs: number
  zone: string
  /** Somebody looked at the clock and said that it is right. */
  clockRight?: boolean
}

/** What a service adds to the book. */
export interface NewEvent {
  kind: EventKind
  /** Codes of everything the record is about: each shows it in its own book. */
  subjects: readonly string[]
  typed: unknown
  computed?: unknown
  reason?: string
  /** The earlier record that this one voids. */
  voidsId?: number
}

export interface WriteContext extends Writer {
  tables: Tables
  /** Records of this write, chained into the book together at its end. */
  entries: NewEvent[]
}

/** An expected refusal: a code for the words, and the field it is about. */
export interface Refusal extends Failure {
  path?: FieldFault['path']
  status?: 404 | 409 | 422
}

export type Answer<T> = { ok: true; value: T } | Refusal

export const refuse = (code: string, params?: Failure['params'], path?: FieldFault['path']): Refusal => ({
  ok: false,
  code,
  ...(params ? { params } : {}),
  ...(path ? { path } : {}),
})

export const notFound = (code: string, params?: Failure['params']): Refusal => ({
  ok: false,
  code,
  status: 404,
  ...(params ? { params } : {}),
})

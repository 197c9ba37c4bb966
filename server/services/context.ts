import type { Failure } from '#core/result'
import type { FieldFault } from '#shared/contracts/issues'
import type { Role } from '#shared/contracts/people'
import type { Tables } from '../db/store'

/** Who writes, when, and where the shop's clock hangs. The clock is an argument: services read none. */
export interface WriteContext {
  tables: Tables
  actor: { id: number, role: Role }
  nowMs: number
  zone: string
}

/** An expected refusal: a code for the words, and the field it is about. */
export interface Refusal extends Failure {
  path?: FieldFault['path']
  status?: 404 | 409 | 422
}

export type Answer<T> = { ok: true, value: T } | Refusal

export const refuse = (code: string, params?: Failure['params'], path?: FieldFault['path']): Refusal =>
  ({ ok: false, code, ...(params ? { params } : {}), ...(path ? { path } : {}) })

export const notFound = (code: string, params?: Failure['params']): Refusal => ({ ok: false, code, status: 404, ...(params ? { params } : {}) })

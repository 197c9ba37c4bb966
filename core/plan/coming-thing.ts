import type { Milliseconds } from '../units/quantities'
import type { Due, DueKind, DueWhy } from './due-thing'

/** Something a plan has coming. */
export interface Coming extends Pick<Due, 'kind' | 'pieces' | 'notBeforeMs' | 'byMs' | 'because' | 'item' | 'add'> {
  /** Names it within its lot, the same each time it is asked for. */
  key: string
  /** When it comes: the hour by which it should be done, or from which on it may be. */
  atMs: Milliseconds
}

/** A thing to be done by an hour, with all of its pieces. */
export const coming = (kind: DueKind, because: DueWhy, atMs: Milliseconds, more: Partial<Coming> = {}): Coming => ({
  kind,
  key: kind,
  atMs,
  byMs: atMs,
  notBeforeMs: null,
  pieces: null,
  because,
  ...more,
})

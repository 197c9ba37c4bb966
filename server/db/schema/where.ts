import type { Milliseconds } from '#core/units/quantities'
import { Op } from 'sequelize'

/** What a column's value must be, other than one value or one of a list. */
export class Condition<T> {
  constructor(
    readonly operator: symbol,
    readonly value: T | readonly T[] | null,
  ) {}
}

/** True of a condition, by its shape: scripts may hold the class twice. */
export const isCondition = (value: unknown): value is Condition<unknown> =>
  typeof (value as Condition<unknown> | null | undefined)?.operator === 'symbol'

/** A condition: from a moment on, `{ atMs: since(fromMs) }`. */
export const since = (ms: Milliseconds) => new Condition(Op.gte, ms)
/** Smaller than, or before a moment: `{ id: below(40) }`. */
export const below = (n: number) => new Condition(Op.lt, n)
/** A condition: from one to another, both included, `{ atMs: between(fromMs, toMs) }`. */
export const between = (from: number, to: number) => new Condition(Op.between, [from, to])
/** Anything else than: `{ kind: but('count') }`. */
export const but = <T extends string>(value: T) => new Condition<T>(Op.ne, value)
/** Begins with a text, in which `%` and `_` stand for any others: `{ code: startsWith('L-00') }`. */
export const startsWith = (text: string) => new Condition<string>(Op.startsWith, text)
/** Has a text anywhere in it, `%` and `_` too as they stand. */
export const contains = (text: string) => new Condition<string>(Op.substring, text.replaceAll(/[\\%_]/g, '\\$&'))
/** Filled in: `{ coreC: present }`. */
export const present = new Condition<never>(Op.not, null)

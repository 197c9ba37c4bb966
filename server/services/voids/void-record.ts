import type { Milliseconds } from '#core/units/quantities'
import { UNDO_MS } from '#core/rules/house'
import type { EventKind } from '#shared/contracts/event-kinds'
import type { ComputedOf, TypedOf } from '#shared/contracts/records'
import { isVoidable, type VoidableKind } from '#shared/messages/void-words'
import type { Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { lockRows } from '../lock-rows'
import { takeBackSteps } from '../press/take-back-steps'
import { rowsOfRecord } from './rows-of-record'
import { takeBack, type TakeBack } from './take-back'

const UNDO_REASON = 'undone within ten minutes'

/** The first later record that rests on this one and stands, if any. */
async function builtUpon(tables: Tables, eventId: number, codes: readonly string[], kinds: readonly EventKind[]) {
  if (codes.length === 0 || kinds.length === 0) return null
  const about = (await tables.eventSubjects.find({ code: [...codes] }))
    .map(row => row.eventId)
    .filter(id => id > eventId)
  const later = await tables.events.find({ id: about, kind: [...kinds] }, { order: [['id', 'ASC']] })
  const voided = new Set(
    (await tables.events.find({ voidsId: later.map(event => event.id) })).map(event => event.voidsId),
  )
  return later.find(event => !voided.has(event.id)) ?? null
}

/** The record as its kind has it: the texts are what `recordEvent` took by the same map. */
async function undo<K extends VoidableKind>(
  ctx: WriteContext,
  kind: K,
  row: { atMs: Milliseconds; subjects: string; typed: string; computed: string },
): Promise<Refusal | null> {
  const step: TakeBack<K> = takeBack[kind]
  return step.undo(ctx, {
    atMs: row.atMs,
    subjects: JSON.parse(row.subjects) as string[],
    typed: JSON.parse(row.typed) as TypedOf<K>,
    computed: JSON.parse(row.computed) as ComputedOf<K>,
  })
}

/** Voids a record: the current state goes back to before it, and both stay in the book, with who and why. */
export async function voidRecord(ctx: WriteContext, eventId: number, reason: string): Promise<Answer<object>> {
  const event = await ctx.tables.events.one({ id: eventId })
  if (!event) return refuse('no_such_record')
  const { kind } = event
  if (!isVoidable(kind)) return refuse('cannot_void')
  const step = takeBack[kind]
  if (kind === 'sent' && Math.abs(ctx.nowMs - event.atMs) > UNDO_MS) return refuse('sent_stands')
  // Nobody builds on it from here on, or voids it too.
  await lockRows(ctx.tables, await rowsOfRecord(ctx.tables, event))
  if (await ctx.tables.events.one({ voidsId: eventId })) return refuse('already_voided')
  const subjects = JSON.parse(event.subjects) as string[]
  const later = await builtUpon(ctx.tables, eventId, step.anySubject ? subjects : subjects.slice(0, 1), step.builtOn)
  if (later) return refuse('built_upon', { record: later.id })
  const inTheWay = (await undo(ctx, kind, event)) ?? (await takeBackSteps(ctx, eventId))
  if (inTheWay) return inTheWay
  recordEvent(ctx, {
    kind: 'voided',
    subjects,
    typed: { kind },
    computed: { recordedAtMs: event.atMs },
    reason,
    voidsId: eventId,
  })
  return { ok: true, value: {} }
}

/** The floor's undo: within ten minutes, with its reason filled in. Later it is a void like any other. */
export async function undoRecord(ctx: WriteContext, eventId: number): Promise<Answer<object>> {
  const event = await ctx.tables.events.one({ id: eventId })
  if (event && Math.abs(ctx.nowMs - event.atMs) > UNDO_MS) return refuse('undo_too_late')
  return await voidRecord(ctx, eventId, UNDO_REASON)
}

import { atKey } from '#core/lists/at-key'
import { randomBytes } from 'node:crypto'
import { MS_PER_HOUR, type Milliseconds } from '#core/units/quantities'
import type { CalendarLink, CalendarOpen } from '#shared/contracts/calendar'
import { sha256 } from '../../digest/sha256'
import type { Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'

const TOKEN_BYTES = 32
/** When a calendar was last fetched is written down no more often than this. */
const SEEN_EVERY_MS = MS_PER_HOUR

/** Ends a person's calendar. What opens the door no more, opens the calendar no more either: a new password, another role. */
export async function endCalendarsOf(tables: Tables, userId: number, nowMs: Milliseconds): Promise<number> {
  const open = await tables.calendarLinks.pick([], { userId, endedAtMs: null })
  await tables.calendarLinks.update(open.map(link => link.id), { endedAtMs: nowMs })
  return open.length
}

/**
 * A secret address for a person's calendar, said this once: its hash is kept, and the database alone opens nothing. One a
 * person: the one before ends.
 */
export async function linkCalendar(ctx: WriteContext): Promise<Answer<{ path: string }>> {
  // One person's windows wait for each other here.
  await ctx.tables.users.one({ id: ctx.actor.id }, { lock: true })
  await endCalendarsOf(ctx.tables, ctx.actor.id, ctx.nowMs)
  const token = randomBytes(TOKEN_BYTES).toString('base64url')
  await ctx.tables.calendarLinks.insert({ tokenHash: sha256(token), userId: ctx.actor.id, atMs: ctx.nowMs })
  recordEvent(ctx, { kind: 'calendar_linked', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: { path: `/api/calendar/${token}.ics` } }
}

/** Whoever has the address sees nothing more by it. */
export async function endCalendar(ctx: WriteContext): Promise<Answer<object>> {
  if ((await endCalendarsOf(ctx.tables, ctx.actor.id, ctx.nowMs)) === 0) return refuse('no_calendar_link')
  recordEvent(ctx, { kind: 'calendar_ended', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: {} }
}

/** The owner ends anybody's, wherever its address went. */
export async function endLink(ctx: WriteContext, id: number): Promise<Answer<object>> {
  const link = await ctx.tables.calendarLinks.one({ id, endedAtMs: null })
  const person = link && (await ctx.tables.users.one({ id: link.userId }))
  if (!link || !person) return refuse('no_calendar_link')
  await ctx.tables.calendarLinks.update(id, { endedAtMs: ctx.nowMs })
  recordEvent(ctx, { kind: 'calendar_ended', subjects: [], typed: { person: person.name } })
  return { ok: true, value: {} }
}

/** Calendars that are open, whose they are and when they were last fetched; without their addresses. */
export async function openLinks(tables: Tables): Promise<CalendarOpen[]> {
  const links = await tables.calendarLinks.pick(['userId', 'atMs', 'seenAtMs'], { endedAtMs: null }, { order: [['id', 'DESC']] })
  const names = new Map((await tables.users.pick(['name'], { id: links.map(link => link.userId) })).map(user => [user.id, user.name]))
  return links.map(({ id, userId, atMs, seenAtMs }) => ({ id, who: atKey(names, userId), atMs, seenAtMs }))
}

/** The person's own, without its address; null where there is none. */
export async function calendarLink(tables: Tables, userId: number): Promise<CalendarLink | null> {
  const [link] = await tables.calendarLinks.pick(['atMs', 'seenAtMs'], { userId, endedAtMs: null })
  return link ? { atMs: link.atMs, seenAtMs: link.seenAtMs } : null
}

/** Whose calendar an address opens, while the link and the account are open. */
export async function readerOfLink(tables: Tables, token: string, nowMs: Milliseconds) {
  const link = await tables.calendarLinks.one({ tokenHash: sha256(token), endedAtMs: null })
  const user = link && (await tables.users.one({ id: link.userId, active: true }))
  if (!link || !user) return null
  if (nowMs - (link.seenAtMs ?? 0) > SEEN_EVERY_MS) await tables.calendarLinks.update(link.id, { seenAtMs: nowMs })
  return user
}

import { randomBytes } from 'node:crypto'
import { MS_PER_HOUR, type Milliseconds } from '#core/units/quantities'
import type { CalendarLink } from '#shared/contracts/calendar'
import { sha256 } from '../../digest/sha256'
import type { Tables } from '../../db/database'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'

const TOKEN_BYTES = 32
/** When a calendar was last fetched is written down no more often than this. */
const SEEN_EVERY_MS = MS_PER_HOUR

const endAll = async (ctx: WriteContext): Promise<number> => {
  const open = await ctx.tables.calendarLinks.find({ userId: ctx.actor.id, endedAtMs: null })
  for (const link of open) await ctx.tables.calendarLinks.update(link.id, { endedAtMs: ctx.nowMs })
  return open.length
}

/**
 * A secret address for a person's calendar, said this once: its hash is kept, and the database alone opens nothing. One a
 * person: the one before ends.
 */
export async function linkCalendar(ctx: WriteContext): Promise<Answer<{ path: string }>> {
  await endAll(ctx)
  const token = randomBytes(TOKEN_BYTES).toString('base64url')
  await ctx.tables.calendarLinks.insert({ tokenHash: sha256(token), userId: ctx.actor.id, atMs: ctx.nowMs })
  recordEvent(ctx, { kind: 'calendar_linked', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: { path: `/api/calendar/${token}.ics` } }
}

/** Whoever has the address sees nothing more by it. */
export async function endCalendar(ctx: WriteContext): Promise<Answer<object>> {
  if ((await endAll(ctx)) === 0) return refuse('no_calendar_link')
  recordEvent(ctx, { kind: 'calendar_ended', subjects: [], typed: { person: ctx.actor.name } })
  return { ok: true, value: {} }
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

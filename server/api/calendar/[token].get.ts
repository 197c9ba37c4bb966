import { defineEventHandler, getRouterParam, setResponseHeaders } from 'h3'
import { appState } from '../../http/app-state'
import { replyFailure, replyRefusal } from '../../http/reply'
import { calendarFeed } from '../../services/calendar/feed'
import { readerOfLink } from '../../services/calendar/links'
import { refuse } from '../../services/context'

/** The shop's work for whoever has the address: calendars have no session. */
export default defineEventHandler(async (event) => {
  try {
    const token = getRouterParam(event, 'token')!.replace(/\.ics$/, '')
    const { store, settings } = appState()
    const nowMs = Date.now()
    const reader = await readerOfLink(store.tables, token, nowMs)
    if (!reader) return replyRefusal(event, refuse('no_calendar_link'))
    setResponseHeaders(event, {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="veldmoor.ics"',
      'cache-control': 'private, no-store',
    })
    return await calendarFeed(store.tables, reader.notation, nowMs, new URL(settings.publicOrigin ?? 'http://veldmoor.local').hostname)
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

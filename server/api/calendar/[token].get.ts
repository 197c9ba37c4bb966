import { routeParam } from '../../http/route-param'
import { defineEventHandler, setResponseHeader, setResponseHeaders } from 'h3'
import { appState } from '../../http/app-state'
import { limiter } from '../../http/often'
import { replyFailure, replyRefusal } from '../../http/reply'
import { calendarFeed } from '../../services/views/feed'
import { keptFeed } from '../../services/calendar/kept-feed'
import { readerOfLink } from '../../services/calendar/links'
import { refuse } from '../../services/context'

/** A calendar asks once an hour; a person who sets one up, some times a minute. */
const tooOften = limiter(30)

/** The shop's work for whoever has the address: calendars have no session. */
export default defineEventHandler(async (event) => {
  try {
    const token = routeParam(event, 'token').replace(/\.ics$/, '')
    const { store, settings } = appState()
    const nowMs = Date.now()
    const reader = await readerOfLink(store.tables, token, nowMs)
    if (!reader) return replyRefusal(event, refuse('no_calendar_link'))
    const waitS = tooOften(token, nowMs)
    if (waitS !== null) {
      setResponseHeader(event, 'retry-after', waitS)
      return replyRefusal(event, refuse('asked_too_often', { seconds: waitS }))
    }
    setResponseHeaders(event, {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="veldmoor.ics"',
      'cache-control': 'private, no-store',
    })
    const host = new URL(settings.publicOrigin ?? 'http://veldmoor.local').hostname
    const key = JSON.stringify([reader.notation, host])
    return await keptFeed(store.tables, key, nowMs, () => calendarFeed(store.tables, reader.notation, nowMs, host))
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

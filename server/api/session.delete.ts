import { defineEventHandler } from 'h3'
import { refuse, replyRefusal } from '../http/reply'
import { isSameOrigin, sessionOf } from '../http/session'

export default defineEventHandler(async (event) => {
  if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
  await (await sessionOf(event)).clear()
  return {}
})

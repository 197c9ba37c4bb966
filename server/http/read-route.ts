import type { Milliseconds } from '#core/units/quantities'
import { Readable } from 'node:stream'
import { defineEventHandler, type H3Event } from 'h3'
import type { Role, SignedIn } from '#shared/contracts/people'
import type { Answer } from '../services/context'
import type { Tables } from '../db/database'
import type { OpenSession } from '../services/people/sessions'
import { appState } from './app-state'
import { sendJson } from './compressed'
import { replyAnswer, replyFailure, replyRefusal } from './reply'
import { refuse } from '../services/context'
import { atDoor, readerOf } from './session'

export interface ReadContext {
  event: H3Event
  tables: Tables
  person: SignedIn
  at: OpenSession
  nowMs: Milliseconds
}

/** A page of the shop's records for anyone who is signed in, or for the roles named. */
export const readRoute = <T>(read: (ctx: ReadContext) => Promise<T | Answer<T>>, roles?: readonly Role[]) =>
  defineEventHandler(async (event) => {
    try {
      const at = await atDoor(event)
      if (!at) return replyRefusal(event, refuse('not_signed_in'))
      const person = readerOf(at)
      if (roles && !roles.includes(person.role))
        return replyRefusal(event, refuse('not_your_role', { role: person.role }))
      const found = await read({ event, tables: appState().store.tables, person, at, nowMs: Date.now() })
      if (typeof found === 'object' && found !== null && 'ok' in found)
        return found.ok ? await sendJson(event, found.value) : replyAnswer(event, found)
      // A file, a table or a stream goes out as it is.
      const asItIs
        = found === undefined || typeof found === 'string' || found instanceof Uint8Array || found instanceof Readable
      return asItIs ? found : await sendJson(event, found)
    }
    catch (error) {
      return replyFailure(event, error)
    }
  })

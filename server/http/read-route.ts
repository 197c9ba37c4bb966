import { defineEventHandler, type H3Event } from 'h3'
import type { SignedIn } from '#shared/contracts/people'
import type { Answer } from '../services/context'
import type { Tables } from '../db/store'
import { appState } from './app-state'
import { refuse, replyAnswer, replyFailure, replyRefusal } from './reply'
import { personOf } from './session'

export interface ReadContext { event: H3Event, tables: Tables, person: SignedIn, nowMs: number }

/** A page of the shop's records for anyone who is signed in. */
export const readRoute = <T>(read: (ctx: ReadContext) => Promise<T | Answer<T>>) => defineEventHandler(async (event) => {
  try {
    const person = await personOf(event)
    if (!person) return replyRefusal(event, refuse('not_signed_in'))
    const found = await read({ event, tables: appState().store.tables, person, nowMs: Date.now() })
    return typeof found === 'object' && found !== null && 'ok' in found ? replyAnswer(event, found) : found
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

import { defineEventHandler, type H3Event } from 'h3'
import type { z } from 'zod'
import { faultsOf } from '#shared/faults/issues'
import type { Answer } from '../services/context'
import { replyAnswer, replyFailure, replyFaults, replyRefusal } from './reply'
import { refuse } from '../services/context'
import { LARGEST_DOOR_BYTES, readJsonBody } from './read-json'
import { isSameOrigin } from './origin'

/**
 * A message that is no record of the shop's: signing in and out, a PIN. Same origin and understood, like every other.
 */
export const doorRoute = <S extends z.ZodType, T>(
  contract: S,
  act: (event: H3Event, input: z.output<S>) => Promise<Answer<T>>,
) =>
  defineEventHandler(async (event) => {
    try {
      if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
      const body = await readJsonBody(event, LARGEST_DOOR_BYTES)
      if (!body.ok) return replyRefusal(event, body)
      const input = contract.safeParse(body.value)
      return input.success
        ? replyAnswer(event, await act(event, input.data))
        : replyFaults(event, faultsOf(input.error))
    }
    catch (error) {
      return replyFailure(event, error)
    }
  })

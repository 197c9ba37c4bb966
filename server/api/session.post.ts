import { defineEventHandler, getRequestIP } from 'h3'
import { faultsOf } from '#shared/contracts/issues'
import { signInInput } from '#shared/contracts/people'
import { appState } from '../http/app-state'
import { refuse, replyFailure, replyFaults, replyRefusal } from '../http/reply'
import { isSameOrigin, sessionOf } from '../http/session'
import { readJson } from '../http/write-route'
import { signIn } from '../services/people/sign-in'

export default defineEventHandler(async (event) => {
  try {
    if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
    const body = await readJson(event)
    if (!body.ok) return replyRefusal(event, body)
    const input = signInInput.safeParse(body.value)
    if (!input.success) return replyFaults(event, faultsOf(input.error))
    const answer = await signIn(appState().store, input.data, getRequestIP(event) ?? 'unknown', Date.now())
    if (!answer.ok) return replyRefusal(event, answer)
    await (await sessionOf(event)).update({ userId: answer.value.id })
    return answer.value
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

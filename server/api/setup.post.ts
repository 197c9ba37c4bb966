import { defineEventHandler } from 'h3'
import { faultsOf } from '#shared/contracts/issues'
import { setupInput } from '#shared/contracts/people'
import { appState } from '../http/app-state'
import { refuse, replyFailure, replyFaults, replyRefusal } from '../http/reply'
import { isSameOrigin, sessionOf } from '../http/session'
import { readJson } from '../http/write-route'
import { setUpShop } from '../services/people/set-up-shop'

export default defineEventHandler(async (event) => {
  try {
    if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
    const body = await readJson(event)
    if (!body.ok) return replyRefusal(event, body)
    const input = setupInput.safeParse(body.value)
    if (!input.success) return replyFaults(event, faultsOf(input.error))
    const made = await setUpShop(appState().store, input.data, Date.now())
    if (!made.ok) return replyRefusal(event, made)
    await (await sessionOf(event)).update({ userId: made.value.id })
    return made.value
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

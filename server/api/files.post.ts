import { defineEventHandler, getQuery } from 'h3'
import { appState } from '../http/app-state'
import { LARGEST_FILE_BYTES } from '#shared/contracts/files'
import { readBody } from '../http/read-body'
import { refuse, replyAnswer, replyFailure, replyRefusal } from '../http/reply'
import { atDoor, isSameOrigin, WRITERS } from '../http/session'
import { keepFile } from '../services/files/keep-file'

/** A photo or certificate as raw bytes, its name beside it. The record that names the file is what signs it. */
export default defineEventHandler(async (event) => {
  try {
    if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
    const at = await atDoor(event)
    if (!at) return replyRefusal(event, refuse('not_signed_in'))
    if (!WRITERS.includes(at.user.role)) return replyRefusal(event, refuse('not_your_role', { role: at.user.role }))
    const content = await readBody(event, LARGEST_FILE_BYTES)
    if (content === null) return replyRefusal(event, refuse('file_too_large', { bytes: LARGEST_FILE_BYTES }))
    return replyAnswer(event, await keepFile(appState().store.tables, { name: String(getQuery(event).name ?? ''), content }, { byId: at.user.id, nowMs: Date.now() }))
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

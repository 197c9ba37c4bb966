import { defineEventHandler, getQuery } from 'h3'
import { appState } from '../http/app-state'
import { LARGEST_FILE_BYTES } from '#shared/contracts/files'
import { isSameOrigin } from '../http/origin'
import { readBody } from '../http/read-body'
import { replyAnswer, replyFailure, replyRefusal } from '../http/reply'
import { refuse } from '../services/context'
import { atDoor, WRITERS } from '../http/session'
import { signerOf } from '../http/write-route'
import { isDiskLow } from '../services/office/free-space'
import { keepFile } from '../services/files/keep-file'

/** A photo or certificate as raw bytes, its name beside it. The record that names the file is what signs it. */
export default defineEventHandler(async (event) => {
  try {
    if (!isSameOrigin(event)) return replyRefusal(event, refuse('cross_site'))
    const at = await atDoor(event)
    if (!at) return replyRefusal(event, refuse('not_signed_in'))
    // The signer on a shared tablet is whoever gave a PIN, as for every record.
    const signer = signerOf(at, {})
    if (!signer.ok) return replyRefusal(event, signer)
    if (!WRITERS.includes(signer.value.role))
      return replyRefusal(event, refuse('not_your_role', { role: signer.value.role }))
    if (await isDiskLow(appState().settings.dataFolder)) return replyRefusal(event, refuse('disk_low'))
    const content = await readBody(event, LARGEST_FILE_BYTES)
    if (content === null) return replyRefusal(event, refuse('file_too_large', { bytes: LARGEST_FILE_BYTES }))
    return replyAnswer(
      event,
      await keepFile(
        appState().store.tables,
        { name: String(getQuery(event).name ?? ''), content },
        { byId: signer.value.id, nowMs: Date.now() },
      ),
    )
  }
  catch (error) {
    return replyFailure(event, error)
  }
})

import { FULL_DISK_BYTES } from '#core/rules/house'
import { defineEventHandler, setResponseStatus } from 'h3'
import { appState } from '../http/app-state'
import { logFailure } from '../http/log'
import { freeBytes } from '../services/office/free-space'

/**
 * Answers "ready" once the schema is up to date and the database answers; with the room left on the data's disk, where
 * that is ours to see.
 */
export default defineEventHandler(async (event) => {
  const { store, ready, settings } = appState()
  try {
    await ready
    await store.tables.shops.one({})
    const free = await freeBytes(settings.dataFolder)
    return { status: 'ready', ...(free === null ? {} : { freeBytes: free, diskLow: free < FULL_DISK_BYTES }) }
  }
  catch (error) {
    logFailure(error, event)
    setResponseStatus(event, 503)
    return { status: 'not_ready' }
  }
})

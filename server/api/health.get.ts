import { defineEventHandler, setResponseStatus } from 'h3'
import { appState } from '../http/app-state'

/** Answers "ready" once the schema is up to date and the database answers. */
export default defineEventHandler(async (event) => {
  const { store, ready } = appState()
  try {
    await ready
    await store.tables.shops.count()
    return { status: 'ready' }
  }
  catch {
    setResponseStatus(event, 503)
    return { status: 'not_ready' }
  }
})

import type { NitroApp } from 'nitropack'
import { MS_PER_MINUTE } from '#core/units/quantities'
import { appState } from '../http/app-state'
import { lookAtUnread } from '../services/places/look-at-unread'

const FIRST_MS = MS_PER_MINUTE
const EVERY_MS = 10 * MS_PER_MINUTE

/** The shop looks around by itself, every ten minutes: what lies where nobody reads comes with no press. */
export default (nitro: NitroApp) => {
  const { store } = appState()
  let timer: NodeJS.Timeout
  let looking: Promise<void> = Promise.resolve()
  const look = async () => {
    await appState().ready
    try {
      await lookAtUnread(store, Date.now())
    }
    catch (error) {
      // Looked at again in ten minutes; whoever keeps the server reads why it failed.
      console.error('what lies unread was not looked at:', error)
    }
  }
  const after = (ms: number) => {
    timer = setTimeout(() => {
      looking = look().finally(() => after(EVERY_MS))
    }, ms)
    timer.unref()
  }
  after(FIRST_MS)
  nitro.hooks.hook('close', async () => {
    clearTimeout(timer)
    await looking
  })
}

import { defineEventHandler, type H3Event } from 'h3'
import type { SessionView } from '#shared/contracts/people'
import { DEMO_SIGN_INS } from '../demo/people'
import { appState } from '../http/app-state'
import { replyFailure } from '../http/reply'
import { atDoor, readerOf } from '../http/session'
import { stationView } from '../services/people/pins'

async function sessionView(event: H3Event): Promise<SessionView> {
  const { store, settings } = appState()
  const shop = await store.tables.shops.one({})
  const at = shop ? await atDoor(event) : null
  return {
    needsSetup: shop === null,
    user: at && readerOf(at),
    station: at && (await stationView(store.tables, at)),
    shopName: shop?.name ?? null,
    zone: shop?.zone ?? 'UTC',
    nowMs: Date.now(),
    demoSignIns: settings.demo ? DEMO_SIGN_INS.map(({ signIn, role }) => ({ signIn, role })) : null,
  }
}

export default defineEventHandler(event => sessionView(event).catch(error => replyFailure(event, error)))

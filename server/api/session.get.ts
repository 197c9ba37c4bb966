import { defineEventHandler } from 'h3'
import type { SessionView } from '#shared/contracts/people'
import { DEMO_SIGN_INS } from '../demo/people'
import { appState } from '../http/app-state'
import { personOf } from '../http/session'

export default defineEventHandler(async (event): Promise<SessionView> => {
  const { store, settings } = appState()
  const shop = await store.tables.shops.one({})
  const user = shop ? await personOf(event) : null
  return {
    needsSetup: shop === null, user, shopName: shop?.name ?? null, zone: shop?.zone ?? 'UTC', nowMs: Date.now(),
    demoSignIns: settings.demo ? DEMO_SIGN_INS.map(({ signIn, role }) => ({ signIn, role })) : null,
  }
})

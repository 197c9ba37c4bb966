import { openStore, type Store } from '../db/database'
import { theShop } from '../services/shop/shop-facts'
import { readSettings, type Settings } from './settings'

interface AppState {
  store: Store
  settings: Settings
  ready: Promise<void> | null
}

let state: AppState | null = null

/** The one store of this process. */
export function appState(): AppState {
  if (!state) {
    const settings = readSettings()
    const { databaseUrl, poolSize, locksChecked } = settings
    state = { settings, store: openStore(databaseUrl, poolSize, { locksChecked }), ready: null }
  }
  return state
}

let zone: string | null = null

/** The zone of the shop's clock: given once, when the shop is set up, so it is asked for once. */
export async function shopZone(): Promise<string> {
  zone ??= (await theShop(appState().store.tables)).zone
  return zone
}

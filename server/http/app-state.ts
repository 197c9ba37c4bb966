import { openStore, type Store } from '../db/store'
import { readSettings, type Settings } from './settings'

interface AppState { store: Store, settings: Settings, ready: Promise<void> | null }

let state: AppState | null = null

/** The one store of this process. */
export function appState(): AppState {
  if (!state) {
    const settings = readSettings()
    state = { settings, store: openStore(settings.databaseUrl, settings.poolSize), ready: null }
  }
  return state
}

import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { DEFAULT_NOTATION, type Notation } from '#core/units/format'
import type { SessionView, SignedIn } from '#shared/contracts/people'
import { read, send } from '~/api/client'

/** Who is at this tablet, how they write figures, and the shop's clock. */
export const useSession = defineStore('session', () => {
  const view = ref<SessionView | null>(null)
  /** Server clock less this device's: a tablet's clock may be wrong. */
  const clockOffsetMs = ref(0)
  const user = computed<SignedIn | null>(() => view.value?.user ?? null)
  const notation = computed<Notation>(() => user.value?.notation ?? DEFAULT_NOTATION)
  const zone = computed(() => view.value?.zone ?? 'UTC')
  const mayWrite = computed(() => user.value !== null && user.value.role !== 'inspector')
  const isOwner = computed(() => user.value?.role === 'owner')

  async function load(): Promise<boolean> {
    const reply = await read<SessionView>('/api/session')
    if (!reply.ok) return false
    view.value = reply.value
    clockOffsetMs.value = reply.value.nowMs - Date.now()
    return true
  }
  async function leave(): Promise<void> {
    await send('DELETE', '/api/session', {})
    await load()
  }
  async function chooseNotation(next: Notation): Promise<boolean> {
    const reply = await send('PUT', '/api/me/notation', next, crypto.randomUUID())
    return reply.ok && (await load())
  }
  return { view, user, notation, zone, mayWrite, isOwner, clockOffsetMs, load, leave, chooseNotation }
})

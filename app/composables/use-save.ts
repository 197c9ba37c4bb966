import { computed, ref } from 'vue'
import type { z } from 'zod'
import { faultsOf, type FieldFault } from '#shared/faults/issues'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import type { Problem } from '#shared/contracts/problem'
import { problemWords } from '~/api/client'
import { sendSigned } from '~/composables/signed-send'
import { useSession } from '~/stores/session'

/** Every write's answer names its record in the book, by which it can be undone; null when it made none. */
export interface Recorded {
  eventId: number | null
}

/**
 * One save button. Checks with the same contract as the server, sends under a key that stays the same until an answer
 * is sure, and keeps the problem beside the fields. Nothing typed is touched on failure.
 */
export function useSave<T = object>(contract?: z.ZodType) {
  const session = useSession()
  const saving = ref(false)
  const problem = ref<Problem | null>(null)
  const faults = ref<FieldFault[]>([])
  let key = crypto.randomUUID()

  async function save(path: string, body: unknown, method: 'POST' | 'PUT' = 'POST'): Promise<(T & Recorded) | null> {
    if (saving.value) return null
    problem.value = null
    faults.value = []
    const checked = contract?.safeParse(body)
    if (checked && !checked.success) {
      faults.value = faultsOf(checked.error)
      return null
    }
    saving.value = true
    const reply = await sendSigned<T & Recorded>(method, path, body, key)
    saving.value = false
    if (reply.ok) {
      key = crypto.randomUUID()
      return reply.value
    }
    problem.value = reply.problem
    faults.value = reply.problem.errors ?? []
    return null
  }
  /** Words for the field at a path, "pieces.0.weight"; a fault deeper inside counts. */
  const errorAt = (path: string): string | undefined => {
    const fault = faults.value.find((f) => {
      const joined = f.path.join('.')
      return joined === path || joined.startsWith(`${path}.`)
    })
    return fault && wordsFor(fault.code, fault.params, session.notation)
  }
  /** Fields, not faults: one field may break two rules, and is marked once. */
  const marked = computed(() => new Set(faults.value.map(fault => fault.path.join('.'))).size)
  const message = computed(() =>
    problem.value
      ? problemWords(problem.value, session.notation)
      : marked.value
        ? `${marked.value === 1 ? 'One entry needs' : `${marked.value} entries need`} another look. `
        + 'Nothing was saved; all you typed is still here.'
        : '',
  )
  const forget = () => {
    problem.value = null
    faults.value = []
  }
  return { save, saving, problem, faults, errorAt, message, forget }
}

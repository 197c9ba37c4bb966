import { computed } from 'vue'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** The taps of the Cold room: one tap a record, and undo instead of a question before it. */
export function useCureSteps(code: () => string) {
  const floor = useFloor()
  const session = useSession()
  const recorded = useRecorded()
  const { save, saving, message } = useSave()

  async function step(path: string, words: string): Promise<void> {
    const lot = code()
    const done = await save(`/api/lots/${lot}/${path}`, {})
    if (!done) return
    await floor.load()
    recorded(`${lot}: ${words}`, done.eventId, floor.load)
  }
  return {
    saving,
    message,
    mayWrite: computed(() => session.mayWrite),
    turn: () => step('turns', 'turned, all pieces.'),
    takeOut: () => step('out', 'out of the cure and rinsed. Now dry it until it is tacky.'),
  }
}

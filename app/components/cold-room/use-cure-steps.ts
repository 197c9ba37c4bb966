import { computed } from 'vue'
import { send } from '~/api/client'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** The taps of the Cold room: one tap a record, and undo instead of a question before it. */
export function useCureSteps(code: () => string) {
  const floor = useFloor()
  const session = useSession()
  const { say } = useNotice()
  const { save, saving, message } = useSave<{ turnId?: number }>()

  async function turn(): Promise<void> {
    const lot = code()
    const done = await save(`/api/lots/${lot}/turns`, {})
    if (!done) return
    await floor.load()
    say(`${lot}: turned, all pieces.`, async () => {
      const undone = await send('POST', `/api/turns/${done.turnId}/void`, { reason: 'undone on the floor' }, crypto.randomUUID())
      await floor.load()
      say(undone.ok ? `${lot}: the turn is voided, and stays in the book as such.` : 'The turn could not be undone. Try again from the lot\'s page.')
    })
  }
  async function step(path: string, words: string): Promise<void> {
    const lot = code()
    if (!await save(`/api/lots/${lot}/${path}`, {})) return
    await floor.load()
    say(`${lot}: ${words}`)
  }
  return {
    turn, saving, message, mayWrite: computed(() => session.mayWrite),
    drain: () => step('drained', 'drained.'),
    takeOut: () => step('out', 'out of the cure and rinsed. Now dry it until it is tacky.'),
  }
}

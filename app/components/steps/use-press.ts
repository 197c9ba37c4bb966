import { computed, ref } from 'vue'
import type { z } from 'zod'
import { pressInput } from '#shared/contracts/steps'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'

type Press = z.input<typeof pressInput>
/** A step as a page tells it. */
export type ToldStep = Press['steps'][number]

/** What is said when the shop asks back, and how the answer is sent. */
const ASKED_BACK: Record<string, { words: string; with: (body: Press) => Press }> = {
  told_already: { words: 'It was done again', with: body => ({ ...body, again: true }) },
  drained_much: {
    words: 'I am sure',
    with: body => ({
      ...body,
      steps: body.steps.map(step => (step.kind === 'drain' ? { ...step, sure: true } : step)),
    }),
  },
}

/** One tap, one record of what was done to a lot now, with its undo. Where the shop asks back, `insist` says yes. */
export function usePress(code: () => string) {
  const floor = useFloor()
  const recorded = useRecorded()
  const { save, saving, message, problem, forget } = useSave(pressInput)
  const last = ref<{ body: Press; words: string } | null>(null)

  async function send(body: Press, words: string): Promise<boolean> {
    last.value = { body, words }
    const done = await save('/api/steps', body)
    if (!done) return false
    await floor.load()
    recorded(`${body.lots[0]!.code}: ${words}`, done.eventId, floor.load)
    return true
  }
  const askedBack = computed(() => ASKED_BACK[problem.value?.code ?? ''] ?? null)
  return {
    saving,
    message,
    forget,
    press: (step: ToldStep, words: string) =>
      send({ steps: [step], lots: [{ code: code(), pieces: null }], when: { told: 'now' } }, words),
    insistWords: computed(() => askedBack.value?.words ?? null),
    insist: () => {
      const [asked, before] = [askedBack.value, last.value]
      return asked && before ? send(asked.with(before.body), before.words) : Promise.resolve(false)
    },
  }
}

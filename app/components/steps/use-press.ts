import { computed, ref } from 'vue'
import type { LotNow, PressAnswer } from '#shared/contracts/press-answer'
import { insistedWords } from '#shared/messages/refusals/insisted'
import { insistedOn } from '#shared/steps/all-told'
import { pressInput } from '#shared/steps/press'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { othersOf } from './others-of'
import type { Press, PressLot, PressStep, PressWhen } from '~/logic/press'

interface Sent {
  body: Press
  lots: PressLot[]
  words: string
}
/** What is said when the shop asks back, and what is sent then. */
interface AskedBack {
  words: string
  body: Press
}

/** One tap, one record of what was done to one or more lots, with its undo. Where the shop asks back, `insist` goes on. */
export function usePress() {
  const floor = useFloor()
  const recorded = useRecorded()
  const { save, saving, message, problem, forget } = useSave<PressAnswer>(pressInput)
  const last = ref<Sent | null>(null)

  async function send(sent: Sent): Promise<LotNow[] | null> {
    last.value = sent
    const done = await save('/api/steps', sent.body)
    if (!done) return null
    const codes = done.lots.map(lot => lot.code).join(', ')
    recorded(`${codes}: ${sent.words}`, done.eventId, floor.load)
    return done.lots
  }
  const askedBack = computed((): AskedBack | null => {
    const [code, sent] = [problem.value?.code ?? '', last.value]
    if (!sent) return null
    const insists = insistedWords(code)
    if (insists) return { words: insists, body: { ...sent.body, steps: insistedOn(sent.body.steps) } }
    const others = othersOf(sent.body, sent.lots, problem.value)
    if (others) return others
    return code === 'told_already' ? { words: 'It was done again', body: { ...sent.body, again: true } } : null
  })
  return {
    saving,
    message,
    forget,
    /** The lots as they are now, or null where it was refused. The caller applies them when the finger is off. */
    press: (lots: PressLot[], steps: PressStep[], words: string, when: PressWhen = { when: { told: 'now' } }) =>
      send({ lots, words, body: { steps, lots: lots.map(({ code, pieces }) => ({ code, pieces })), ...when } }),
    insistWords: computed(() => askedBack.value?.words ?? null),
    problem,
    /** Against a plan: done all the same, with the reason. */
    because: (despite: string) => {
      const sent = last.value
      return sent ? send({ ...sent, body: { ...sent.body, despite } }) : Promise.resolve(null)
    },
    insist: () => {
      const [asked, sent] = [askedBack.value, last.value]
      return asked && sent ? send({ ...sent, body: asked.body }) : Promise.resolve(null)
    },
  }
}

import { computed, ref } from 'vue'
import type { LotNow, PressAnswer } from '#shared/contracts/press-answer'
import { pressInput } from '#shared/steps/press'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { othersOf } from './others-of'
import type { Press, PressLot, ToldStep, ToldWhen } from '~/logic/press'

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

/** What the shop says before it takes what was put on; done, it is told all the same. */
const ON_ALREADY = new Set<string>([
  'add_over',
  'add_unweighed',
  'add_too_salty',
  'agent_on_salt_only',
  'salt_iodised',
  'ingredient_expired',
  'agent_expired',
  'agent_no_certificate',
  'agent_long_dried_only',
  'agent_no_nitrite',
  'mix_spiced_stored',
  'nitrate_refused',
])

const sureOf = (body: Press): Press => ({
  ...body,
  steps: body.steps.map(step => (step.kind === 'drain'
    || step.kind === 'fry_test'
    || step.kind === 'cut'
    || step.kind === 'hang'
    || step.kind === 'move'
    || step.kind === 'dry'
    || step.kind === 'rest'
    || step.kind === 'weigh'
    || 'parts' in step
    ? { ...step, sure: true }
    : step)),
})

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
    if (ON_ALREADY.has(code)) return { words: 'It lies on the meat already', body: sureOf(sent.body) }
    if (code === 'hang_wet'
      || code === 'hang_salt_only'
      || code === 'hang_salt_unknown') return { words: 'It is there already', body: sureOf(sent.body) }
    if (code === 'fry_without_soak') return { words: 'Tasted without a soak', body: sureOf(sent.body) }
    if (code === 'drained_much'
      || code === 'cut_heavier'
      || code === 'cut_missing'
      || code === 'weighed_above_last') return { words: 'I am sure', body: sureOf(sent.body) }
    const others = othersOf(sent.body, sent.lots, problem.value)
    if (others) return others
    return code === 'told_already' ? { words: 'It was done again', body: { ...sent.body, again: true } } : null
  })
  return {
    saving,
    message,
    forget,
    /** The lots as they are now, or null where it was refused. The caller applies them when the finger is off. */
    press: (lots: PressLot[], steps: ToldStep[], words: string, when: ToldWhen = { when: { told: 'now' } }) =>
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

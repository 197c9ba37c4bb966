import { computed, ref } from 'vue'
import type { AskName } from '#shared/steps/all-told'
import type { PressWhen } from '~/logic/press'

/** What a row shows under it: a form, its menu, or the hours to choose from. */
export type Asking = AskName | 'more' | 'when'
/** What a tap on a row means: `next` is the next thing of its plan. */
export type Verb = AskName | 'more' | 'next'
type Direct = Partial<Record<Verb, () => Promise<void>>>

/** What a row asks, and for which hour. `direct`: what is told without a question. */
export function useRowAsking(direct: Direct) {
  const asking = ref<Asking | null>(null)
  const when = ref<{ at: PressWhen; words: string } | null>(null)
  /** The verb for which the hour is asked. */
  const pending = ref<Verb | null>(null)

  /** Asks a verb, at the hour that was said, if one was. */
  async function ask(verb: Verb): Promise<void> {
    const told = direct[verb]
    if (told) await told()
    else if (verb !== 'next') asking.value = verb
  }
  return {
    asking,
    when,
    pending,
    /** The hour that was said; null: now. */
    toldAt: computed(() => when.value?.at.when ?? null),
    /** A tap is now, whatever hour a refused try before it had. */
    say: (verb: Verb) => {
      when.value = null
      return ask(verb)
    },
    /** The finger stayed: first the hour. */
    sayLate: (verb: Verb) => {
      pending.value = verb
      asking.value = 'when'
    },
    /** Goes on from the menu to what is asked further, at the hour that was said. */
    goOn: ask,
    tellWhen: async (at: PressWhen, words: string) => {
      when.value = { at, words }
      asking.value = null
      await ask(pending.value ?? 'more')
    },
    forget: () => {
      asking.value = null
      when.value = null
      pending.value = null
    },
  }
}

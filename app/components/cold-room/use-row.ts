import { computed, onScopeDispose, ref } from 'vue'
import { changesStand } from '#core/life/meaning'
import type { PlanPress } from '~/logic/plan-press'
import type { LotNow } from '#shared/contracts/press-answer'
import type { PressLot, ToldStep, ToldWhen } from '~/logic/press'
import { usePress } from '~/components/steps/use-press'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** What a row asks before it records. */
type Form
  = | 'drain'
    | 'leak'
    | 'purge'
    | 'weigh'
    | 'look'
    | 'touch'
    | 'soak'
    | 'fry_test'
    | 'dry'
    | 'rest'
    | 'add'
    | 'turn_add'
    | 'flavour'
    | 'stack'
    | 'cut'
    | 'hang'
    | 'humidity'
    | 'take'
export type Asking = Form | 'more' | 'when'
type Verb = Exclude<Asking, 'when'> | 'turn' | 'out' | 'next'

/** Under a finger nothing moves: a row that goes elsewhere stays this long. */
const FINGER_OFF_MS = 3000
const NOW: ToldWhen = { when: { told: 'now' } }

/** What its plan makes of a verb. */
interface Planned {
  out: () => PlanPress
  turn?: () => PlanPress
  next?: () => (PlanPress & { pieces: number[] }) | null
}
/** The taps of one row: what is asked, when it was, and what was just done. */
export function useRow(lot: () => PressLot, planned: Planned) {
  const floor = useFloor()
  const session = useSession()
  const { press, insist, insistWords, because, problem, forget, saving, message } = usePress()
  const asking = ref<Asking | null>(null)
  const when = ref<{ at: ToldWhen; words: string } | null>(null)
  /** The verb for which the hour is asked. */
  const pending = ref<Verb | null>(null)
  const done = ref<string | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  let waiting: LotNow[] = []

  function settle(): void {
    clearTimeout(timer)
    floor.apply(waiting)
    waiting = []
    done.value = null
  }
  onScopeDispose(settle)

  /** What a form does once its step was taken: what was typed in it is needed no more. */
  let taken: (() => void) | null = null
  function close(): void {
    taken = null
    asking.value = null
    when.value = null
    pending.value = null
    forget()
  }
  function took(lots: LotNow[] | null, steps: ToldStep[], words: string): void {
    if (!lots) return
    taken?.()
    close()
    // Its parts are known once the floor is read again.
    if (steps.some(step => step.kind === 'cut')) {
      void floor.load()
      return
    }
    if (!steps.some(step => changesStand(step.kind))) {
      floor.apply(lots)
      return
    }
    waiting = lots
    done.value = words
    timer = setTimeout(settle, FINGER_OFF_MS)
  }
  const last = ref<{ steps: ToldStep[]; words: string }>({ steps: [], words: '' })
  async function tell(steps: ToldStep[], words: string, pieces = lot().pieces): Promise<void> {
    const said = when.value ? `${words.replace(/\.$/, '')}, ${when.value.words}.` : words
    last.value = { steps, words: said }
    took(await press([{ ...lot(), pieces }], steps, said, when.value?.at ?? NOW), steps, said)
  }
  const DIRECT: Partial<Record<Verb, () => Promise<void>>> = {
    turn: async () => {
      const turn = planned.turn?.()
      if (turn) await tell(turn.steps, turn.words)
    },
    out: () => tell(planned.out().steps, planned.out().words),
    next: async () => {
      const next = planned.next?.()
      if (next) await tell(next.steps, next.words, next.pieces)
    },
  }
  /** At the hour that was said, if one was. */
  async function ask(verb: Verb): Promise<void> {
    const direct = DIRECT[verb]
    if (direct) await direct()
    else asking.value = verb as Asking
  }
  return {
    asking,
    saving,
    message,
    insistWords,
    problem,
    /** The shop asks back, beside what was refused. */
    asksBack: computed(() => insistWords.value !== null || problem.value?.code === 'against_plan'),
    because: async (reason: string) => took(await because(reason), last.value.steps, last.value.words),
    done,
    mayWrite: computed(() => session.mayWrite),
    close,
    tell,
    tellThen: (steps: ToldStep[], words: string, then: () => void) => {
      taken = then
      return tell(steps, words)
    },
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
    /** From the dots on to what is asked further, at the hour that was said. */
    goOn: ask,
    pending,
    /** The hour that was said; null: now. */
    toldAt: computed(() => when.value?.at.when ?? null),
    tellWhen: async (at: ToldWhen, words: string) => {
      when.value = { at, words }
      asking.value = null
      await ask(pending.value ?? 'more')
    },
    insist: async () => took(await insist(), last.value.steps, last.value.words),
  }
}
export type Row = ReturnType<typeof useRow>

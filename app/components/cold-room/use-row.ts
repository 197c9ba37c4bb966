import { computed, ref } from 'vue'
import { changesStand } from '#core/life/meaning'
import type { TellMore } from '~/components/steps/ask-row'
import { usePress } from '~/components/steps/use-press'
import type { PlanPress } from '~/logic/plan-press'
import type { LotNow } from '#shared/contracts/press-answer'
import type { PressLot, PressStep, PressWhen } from '~/logic/press'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'
import { useFingerOff } from './finger-off'
import { useRowAsking } from './row-asking'

const NOW: PressWhen = { when: { told: 'now' } }

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
  const { press, insist, insistWords, because, problem, forget: forgetPress, saving, message } = usePress()
  const { done, stay } = useFingerOff()
  const { forget: forgetAsked, when, ...asks } = useRowAsking({
    turn: async () => {
      const turn = planned.turn?.()
      if (turn) await tell(turn.steps, turn.words)
    },
    massaged: () => tell([{ kind: 'turn', how: 'massaged', face: null }], 'massaged.'),
    out: () => tell(planned.out().steps, planned.out().words),
    next: async () => {
      const next = planned.next?.()
      if (next) await tell(next.steps, next.words, next)
    },
  })
  const last = ref<{ steps: PressStep[]; words: string }>({ steps: [], words: '' })
  /** What a form does once its step was taken: what was typed in it is needed no more. */
  let taken: (() => void) | undefined

  function close(): void {
    taken = undefined
    forgetAsked()
    forgetPress()
  }
  function took(lots: LotNow[] | null): void {
    if (!lots) return
    const { steps, words } = last.value
    taken?.()
    close()
    // The parts of a cut are known once the floor is read again.
    if (steps.some(step => step.kind === 'cut')) void floor.load()
    else if (steps.some(step => changesStand(step.kind))) stay(lots, words)
    else floor.apply(lots)
  }
  async function tell(steps: PressStep[], words: string, { pieces, then }: TellMore = {}): Promise<void> {
    if (then) taken = then
    const said = when.value ? `${words.replace(/\.$/, '')}, ${when.value.words}.` : words
    last.value = { steps, words: said }
    took(await press([{ ...lot(), pieces: pieces ?? lot().pieces }], steps, said, when.value?.at ?? NOW))
  }
  return {
    ...asks,
    saving,
    message,
    insistWords,
    problem,
    /** The shop asks back, beside what was refused. */
    asksBack: computed(() => insistWords.value !== null || problem.value?.code === 'against_plan'),
    because: async (reason: string) => took(await because(reason)),
    insist: async () => took(await insist()),
    done,
    mayWrite: computed(() => session.mayWrite),
    close,
    tell,
  }
}
export type Row = ReturnType<typeof useRow>

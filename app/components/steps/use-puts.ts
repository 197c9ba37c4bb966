import { computed, ref, watch } from 'vue'
import type { Grams } from '#core/units/quantities'
import type { MixRole } from '#shared/contracts/store'
import type { PutChoice, PutChoices } from '#shared/contracts/puts'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/api/use-loaded'

/** Something that goes on, as it is typed. */
export interface PutLine {
  lotCode: string
  weighed: string
  byEye: boolean
  /** What the plan has of it still to come. */
  about: Grams | null
}

const line = (lot: PutChoice | undefined, about: Grams | null = null): PutLine => ({
  lotCode: lot?.code ?? '',
  weighed: '',
  byEye: false,
  about,
})

/** What a form begins with: what the plan has still to come, else the lot's own salt; flavour begins with a spice. */
function firstLines({ lots, toCome }: PutChoices, what: 'add' | 'flavour'): PutLine[] {
  const of = (role: MixRole) => lots.find(lot => lot.role === role && !lot.isPast)
  if (what === 'flavour') return [line(of('spice') ?? of('sugar'))]
  if (!toCome) return [line(of('salt'))]
  const wanted: [MixRole, Grams][] = [['agent', toCome.agentG], ['salt', toCome.saltG], ['sugar', toCome.sugarG]]
  return wanted.flatMap(([role, massG]) => (massG > 0 ? [line(of(role), massG)] : []))
}

/** What goes on a lot: its lines, kept where the form is closed and opened again. */
export function usePuts(code: string, what: 'add' | 'flavour') {
  const { view, problem } = useLoaded<PutChoices>(`/api/lots/${code}/puts`)
  const { draft, clear } = useDraft(`put-${what}-${code}`, () => ({ lines: [] as PutLine[] }))
  const scaleId = ref<number | null>(null)
  watch(view, (choices) => {
    if (choices && draft.value.lines.length === 0) draft.value.lines = firstLines(choices, what)
  })
  const choiceOf = (lotCode: string) => view.value?.lots.find(lot => lot.code === lotCode)
  const lines = computed(() => draft.value.lines)
  return {
    view,
    problem,
    lines,
    scaleId,
    clear,
    choiceOf,
    more: () => draft.value.lines.push(line(undefined)),
    remove: (i: number) => draft.value.lines.splice(i, 1),
    ready: computed(
      () => lines.value.length > 0 && lines.value.every(one => one.lotCode && (one.byEye || one.weighed.trim() !== '')),
    ),
    parts: () => lines.value.map(one => ({ lotCode: one.lotCode, weighed: one.byEye ? null : one.weighed })),
    /** "Kitchen salt 12 g, pepper not weighed". */
    words: () =>
      lines.value.map(one => `${choiceOf(one.lotCode)?.name ?? one.lotCode} ${one.byEye ? 'not weighed' : one.weighed.trim()}`).join(', '),
  }
}
export type Puts = ReturnType<typeof usePuts>

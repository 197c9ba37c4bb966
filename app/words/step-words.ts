import { groupBy } from '#core/lists/group-by'
import { upperFirst } from '#core/lists/upper-first'
import { wordList } from '#core/lists/word-list'
import { formatPpm, type Notation } from '#core/units/format'
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE, type Milliseconds } from '#core/units/quantities'
import type { ComputedOf, TypedOf } from '#shared/contracts/records'
import { piecesWords } from '#shared/messages/pieces'
import { leastWords } from '#shared/messages/stayed'
import { STATUS_WORDS } from '#shared/messages/verdict'
import { toldWords } from '#shared/steps/all-told'

/** "20 min", "3 h", "2 days": how much later something was told. */
function laterWords(ms: Milliseconds): string {
  if (ms < MS_PER_HOUR) return `${Math.round(ms / MS_PER_MINUTE)} min`
  return ms < MS_PER_DAY ? `${Math.round(ms / MS_PER_HOUR)} h` : `${Math.round(ms / MS_PER_DAY)} days`
}

/** " Told 3 h later."; nothing where it was told as it happened. */
export const lateWords = ({ lateMs = 0 }: { lateMs?: Milliseconds }): string =>
  lateMs >= MS_PER_MINUTE ? ` Told ${laterWords(lateMs)} later.` : ''

/** "L-0042: pieces 1 and 3; from the bottom now 3, 1" where not all lots and pieces share one list. */
function whichWords(steps: ComputedOf<'step'>['steps']): string {
  return [...groupBy(steps, step => step.lot)]
    .map(([lot, mine]) => {
      const { stacks = [], instead } = mine.at(-1)!
      const pieces = [...new Set(mine.flatMap(step => step.pieces))]
      const one = pieces.length === 1 ? 'it was' : 'they were'
      const told = instead ? `, told of ${wordList(instead)}, as ${one} then` : ''
      const lies = stacks.length > 0 ? `, from the bottom now ${stacks.map(stack => stack.join(', ')).join(' and ')}` : ''
      return `${lot}: ${piecesWords(pieces)}${told}${lies}`
    })
    .join('; ')
}

/** "at least 142 ppm", "up to 180 ppm", "151 ppm". */
const nitriteWords = (one: NonNullable<ComputedOf<'step'>['nitrite']>[number], as: Notation): string =>
  one.meaning === 'open'
    ? `at least ${formatPpm(one.lowPpm, as)}`
    : `${one.meaning === 'upper_bound' ? 'up to ' : ''}${formatPpm(one.ppm, as)}`

/** A press in the book: what was done, to which pieces, and how much later it was told. */
export function pressWords(typed: TypedOf<'step'>, computed: ComputedOf<'step'>, as: Notation): string {
  const done = typed.steps.map(step => `${toldWords(step, computed, as)}.`).join(' ')
  const late = lateWords(computed)
  // The code of a single lot is said already.
  const isAlone = new Set(computed.steps.map(step => step.lot)).size === 1
  const of = (lot: string, words: string) => (isAlone ? ` ${upperFirst(words)}.` : ` ${lot}: ${words}.`)
  const stayed = (computed.stayed ?? []).map(one => of(one.lot, leastWords(one.leastPpm, one.why, as))).join('')
  const nitrite = (computed.nitrite ?? [])
    .map(one => of(one.lot, `${nitriteWords(one, as)}, ${STATUS_WORDS[one.status]}`))
    .join('')
  return `${done} ${whichWords(computed.steps)}.${late}${nitrite}${stayed}`
}

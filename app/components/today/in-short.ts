import type { ComingDay } from '#core/today/coming-days'
import { groupBy } from '#core/lists/group-by'
import { wordList } from '#core/lists/word-list'
import type { Notation } from '#core/units/format'
import { dueWords } from '#shared/messages/due'

/** Above so many lots are counted, not named. */
const NAMED = 2
const named = (codes: readonly string[]) => (codes.length > NAMED ? `${codes.length} lots` : wordList(codes))

/** A day on one line: "L-0011 ready", "turn 5 lots", "pour off L-0008, late". */
export function inShort({ ready, bestBy, work }: Pick<ComingDay, 'ready' | 'bestBy' | 'work'>, as: Notation): string[] {
  // That a lot is ready says that it may come out; not that it must.
  const said = work.filter(({ kind, code, because }) => kind !== 'out' || because.why === 'hard_end' || !ready.includes(code))
  return [
    ...(ready.length > 0 ? [`${named(ready)} ready`] : []),
    ...(bestBy.length > 0 ? [`${named(bestBy)} best by`] : []),
    ...[...groupBy(said, one => dueWords(one, as))].map(([words, some]) => {
      const codes = [...new Set(some.map(one => one.code))]
      return `${words}: ${named(codes)}${some.some(one => one.late) ? ', late' : ''}`
    }),
  ]
}

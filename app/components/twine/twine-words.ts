import type { Knot } from '#core/curing/twine'

export const KNOT_WORDS: Record<Knot['state'], string> = {
  done: 'turned',
  coming: 'to come',
  due: 'due today',
  late: 'late',
  missed: 'missed',
}

/** The twine in one sentence, for those who do not see it. */
export function twineWords(knots: readonly Knot[], day: number, readyFromDay: number, bestByDay: number): string {
  const count = (state: Knot['state']) => knots.filter(knot => knot.state === state).length
  const open = count('late') > 0 ? 'a turn is late' : count('due') > 0 ? 'a turn is due today' : 'no turn is due now'
  return `Cure day ${day}. ${count('done')} turned, ${count('missed')} missed, ${open}. Ready from day ${readyFromDay}, best by day ${bestByDay}.`
}

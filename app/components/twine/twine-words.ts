import type { LifeKnot } from '#core/turning/knots'
import type { PieceFace } from '#core/life/kinds/turn'

interface Twine {
  knots: readonly LifeKnot[]
  day: number
  readyFromDay: number
  bestByDay: number
  firstFace: PieceFace | null
  stacked: boolean
}

/** The twine in one sentence, for those who do not see it. */
export function twineWords({ knots, day, readyFromDay, bestByDay, firstFace, stacked }: Twine): string {
  const count = (...states: LifeKnot['state'][]) => knots.filter(knot => states.includes(knot.state)).length
  const open = count('late') > 0 ? 'a turn is late' : count('due') > 0 ? 'a turn is due today' : 'no turn is due now'
  const half = count('half')
  const some = half > 0 ? `, ${half} of some pieces only` : ''
  const lay = [...(stacked ? ['in a stack'] : []), ...(firstFace ? [`${firstFace} up at the rub`] : [])].join(', ')
  return `Cure day ${day}${lay ? `, ${lay}` : ''}. ${count('done')} turned${some}, `
    + `${count('missed', 'made_up')} missed, ${open}. Ready from day ${readyFromDay}, best by day ${bestByDay}.`
}

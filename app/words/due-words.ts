import type { Stage } from '#core/life/kinds/stage'
import type { DryWay } from '#core/life/kinds/dry'
import type { RestWay } from '#core/life/kinds/rest'
import type { Due, DueWhy } from '#core/plan/due-thing'
import { formatNumber, formatPercent, type Notation } from '#core/units/format'
import type { Milliseconds } from '#core/units/quantities'
import type { LotSummary } from '#shared/contracts/lots'
import { dueWords } from '#shared/messages/due'
import { everyWords, hoursWords } from '#shared/messages/plans'
import { DRY_WORDS } from '#shared/steps/dry'
import { REST_WORDS } from '#shared/steps/rest'
import { FEEL_WORDS } from '#shared/steps/look'

const STAGE_WORDS: Record<Stage, string> = {
  cure: 'in the cure',
  soak: 'in the water',
  dry: 'out of the cure',
  heat: 'in the heat',
  rest: 'out of the heat',
  hang: 'hanging',
}

/** What goes on with pieces: "drying on the rack", "resting wrapped", else where they stand. */
export function goingWords({ did }: Pick<LotSummary, 'did'>, ids: readonly number[], stage: Stage | null): string {
  const last = did.findLast(
    step => (step.kind === stage) && (step.pieces === null || ids.every(id => step.pieces!.includes(id))),
  )
  if (last?.kind === 'dry' && last.toMs === null) return `drying ${DRY_WORDS[last.how as DryWay]}`
  if (last?.kind === 'rest' && last.toMs === null) return `resting ${REST_WORDS[last.how as RestWay]}`
  return stage ? STAGE_WORDS[stage] : 'here'
}

/** What comes next, in the plan's own words. */
export const nextWords = (due: Pick<Due, 'kind' | 'item'>, as: Notation): string => `next: ${dueWords(due, as)}`

/** "not before 14:00", "by 18:00"; empty where any hour will do. `at`: how an instant is written. */
export function hourWords({ notBeforeMs, byMs }: Pick<Due, 'notBeforeMs' | 'byMs'>, at: (ms: Milliseconds) => string): string {
  if (notBeforeMs !== null) return `not before ${at(notBeforeMs)}`
  return byMs === null ? '' : `by ${at(byMs)}`
}

/** "lost 37 %, of 35 to 40 %"; past it, "lost 43 %: over-dried". */
const lostWords = ({ lost, from, to }: Extract<DueWhy, { why: 'lost' }>, as: Notation): string => {
  const meant = `${formatNumber(100 * from, 0, as.decimal)} to ${formatPercent(to, as, 0)}`
  return `lost ${formatPercent(lost, as, 0)} of its green weight, ${meant} was meant${lost > to ? ': over-dried' : ''}`
}

/** Why something is due: "day 8 of 7 to 14", "felt stiff throughout". */
export function whyWords(because: DueWhy, as: Notation): string {
  switch (because.why) {
    case 'rhythm':
      return everyWords(because.rhythm)
    case 'planned_day':
      return `planned for day ${because.day}`
    case 'by_feel':
      return `day ${because.day}, out when it is stiff`
    case 'cure_day':
      return `day ${because.day} of ${because.fromDay} to ${because.toDay}`
    case 'felt':
      return `felt ${FEEL_WORDS[because.feel]}`
    case 'hard_end':
      return `no longer than day ${because.toDay}, or it gets too salty`
    case 'next':
      return 'next in its plan'
    case 'after':
      return `after ${hoursWords(because.hours, as)}`
    case 'drained':
      return 'after the draining'
    case 'turned':
      return 'on the face that came up'
    case 'weekly':
      return because.lastMs === null ? 'as it is hung' : 'every week'
    case 'humidity':
      return because.day === 0 ? 'as it is hung' : `day ${because.day} of hanging`
    case 'lost':
      return lostWords(because, as)
    case 'soaked':
      return 'out of the water'
    case 'session':
      return `session ${because.number} of ${because.of}`
  }
}

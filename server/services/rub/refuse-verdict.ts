import type { Judgement } from '#shared/contracts/judgement'
import { refuse } from '../context'

/** Above a limit, or not shown to be below it: the figure, the rule, and what to do in grams. */
export function refuseVerdict(status: 'above_limit' | 'limit_not_shown', judgement: Judgement) {
  const { lot, row, maxPpm, advice } = judgement
  return refuse(
    `rub_${status}`,
    {
      ppm: lot!.ppm,
      highPpm: lot!.highPpm,
      maxPpm,
      source: row.source,
      takeOffG: advice.takeOffAgentG ?? 0,
      addMeatG: advice.addMeatG ?? 0,
    },
    ['agent', 'weighed'],
  )
}

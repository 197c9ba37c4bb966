import { upperFirst } from '#core/lists/upper-first'
import { CURED_COOLING_PPM } from '#core/rules/guideline'
import { DRAINED_EARLY_MS } from '#core/rules/house'
import type { LotNotShownWhy } from '#core/retained/lot-stayed'
import { formatNumber, formatPpm, type Notation } from '#core/units/format'
import { formatSpan } from '#core/units/format-span'
import type { Ppm } from '#core/units/quantities'
import { isWet } from '#core/cure/cure-method'
import type { Judgement } from '../contracts/judgement'

/** Why nobody can say how much stayed. */
const WHY_WORDS: Record<LotNotShownWhy, string> = {
  not_seen: 'nobody saw how much liquid left',
  early: `liquid left within ${formatSpan(DRAINED_EARLY_MS)} of the rub`,
  took_salt: 'salt left with the liquid',
  on_fat: 'most of the mix lay on fat or rind',
  excess: 'a salt box gives what nobody weighed',
  soaked: 'it lay in water over two days, or nobody said for how long',
  not_weighed: 'it is not weighed after its brine yet',
}

export const notShownWords = (why: LotNotShownWhy): string => WHY_WORDS[why]

/** "at least 124 ppm stayed", or why that is not shown. */
export const leastWords = (leastPpm: Ppm | null, why: LotNotShownWhy | null, as: Notation): string =>
  leastPpm === null
    ? `how much stayed is not shown${why ? `: ${WHY_WORDS[why]}` : ''}`
    : `at least ${formatPpm(leastPpm, as)} stayed`

const STRICT = 'It cools by the stricter rule, as if it were not cured.'
/** What shows it after all. */
const WAY_OUT: Partial<Record<LotNotShownWhy, string>> = {
  not_seen: ' Weighed before its rinse with no salt left on it, the meat itself says how much can have gone.',
}

/**
 * What of the cure stayed, beside what went in: empty for salt only, for verdicts of before, and where nothing but an
 * upper bound is known, which the verdict says itself.
 */
export function stayedWords({ stayed, method, meaning }: Judgement, as: Notation): string {
  if (!stayed || meaning === 'upper_bound') return ''
  const { leastPpm, lostShare, why } = stayed
  const said = leastWords(leastPpm, why, as)
  const sentence = upperFirst(said)
  if (leastPpm === null) return `${sentence}. ${STRICT}${(why && WAY_OUT[why]) ?? ''}`
  const cools = leastPpm < CURED_COOLING_PPM ? ` ${STRICT}` : ''
  if (method === 'wet_equilibrium') return `${sentence} in the meat: in a brine it spreads over all water.${cools}`
  if (isWet(method)) return cools.trim()
  return lostShare! > 0
    ? `${sentence}: the liquid took at most ${formatNumber(100 * lostShare!, 0, as.decimal)} % along.${cools}`
    : `Nothing ran off, by what was told: all that was weighed went on and stayed on.${cools}`
}

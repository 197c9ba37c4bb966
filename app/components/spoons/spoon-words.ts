import { LEAST_SALT_ONLY_SHARE, USUAL_SALT } from '#core/rules/house'
import type { SpoonFindings, SpoonVerdict } from '#core/spoons/check-spoons'
import type { Interval } from '#core/spoons/interval'
import type { SpoonSystem } from '#core/spoons/parse-spoons'
import { said } from '#shared/faults/params'

export const SYSTEM_WORDS: Record<SpoonSystem, string> = {
  us: 'US: 4.9 mL and 14.8 mL',
  metric: 'metric: 5 mL and 15 mL',
  australian: 'Australian: 5 mL and 20 mL',
}
export const VERDICT_WORDS: Record<SpoonVerdict, { tone: 'watch' | 'good' | 'act' | 'cold'; mark: string; text: string }> = {
  below_floor: {
    tone: 'watch',
    mark: 'below the floor',
    text: 'Too little, however the spoon is filled. Too little is a hazard as well as too much.',
  },
  inside: { tone: 'good', mark: 'inside', text: 'Inside, but nobody can say where. Weigh it.' },
  above_limit: { tone: 'act', mark: 'above the limit', text: 'Too much, whatever the grain. Do not use it.' },
  cannot_tell: {
    tone: 'act',
    mark: 'cannot be told from spoons',
    text: 'Part of the range is inside, part is not. Weigh it.',
  },
  no_nitrite: {
    tone: 'cold',
    mark: 'no nitrite',
    text: 'No curing salt in it: a salt-only cure, with its own stricter limits.',
  },
}
/** A mass that is only known to lie in a range; `grams` writes one. */
export const massWords = ({ low, high }: Interval, grams: (massG: number) => string): string =>
  low === high ? grams(low) : `${grams(low)} to ${grams(high)}`

export const differingWords = (massesG: readonly Interval[], grams: (massG: number) => string): string =>
  `These do not say the same: ${massesG.map(mass => massWords(mass, grams)).join(', and ')}. `
  + 'Which holds? Take the others out; until then all may.'

/** What is to say of the salt; empty where it is usual. */
export function saltWords({ saltShare }: SpoonFindings): string {
  if (saltShare.low > USUAL_SALT.highShare) return `Over ${said.limit(USUAL_SALT.highShare)} eats salty.`
  return saltShare.high < LEAST_SALT_ONLY_SHARE ? `Under ${said.limit(LEAST_SALT_ONLY_SHARE)} is little.` : ''
}

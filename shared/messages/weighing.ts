import { formatMeat, formatPpm, type Notation } from '#core/units/format'
import type { WeighingView } from '../contracts/weighing'
import { notShownWords } from './stayed'

/** What weighing the meat would show, or why it would show nothing. */
export function weighingWords({ allG, fromG, why, neededPpm }: WeighingView, as: Notation): string {
  const needed = formatPpm(neededPpm, as)
  if (fromG !== null)
    return `Raw and with all that went on it was ${formatMeat(allG, as)}. At ${formatMeat(fromG, as)} or more, at least `
      + `${needed} stayed whatever ran off, and it cools as cured.`
  if (why === 'not_seen')
    return 'Its weight would show nothing: it was rinsed or soaked, more went on than was weighed, or others lie in the same '
      + 'bag or tub (weigh all of them).'
  if (why) return `Its weight would show nothing: ${notShownWords(why)}.`
  return `No weight would show ${needed}: too little went in, or too much left by what was told before.`
}

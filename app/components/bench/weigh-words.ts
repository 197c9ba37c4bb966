import { SAID_SUGAR_SHARE } from '#core/rules/house'
import { formatIngredient, formatMeat, formatPercent, type Notation } from '#core/units/format'
import { formatDateInYear } from '#core/calendar/format-date'
import type { BenchView } from '#shared/contracts/lots'
import type { Bench } from './use-bench'

type StoredLot = BenchView['ingredients'][number]
type Plan = NonNullable<Bench['made']['value']>

/** What a lot's label or certificate says of its nitrite. */
export function nitriteWords(lot: StoredLot, as: Notation): string {
  if (!lot.agent) return ''
  const { nitriteFraction, nitriteAs } = lot.agent
  return [
    `${formatPercent(nitriteFraction, as, 2)} nitrite`,
    ...(nitriteAs === 'NaNO2' ? [] : [`as ${nitriteAs}`]),
    ...(lot.certificate ? [`by certificate ${lot.certificate}`] : []),
  ].join(' ')
}

/** How much of a lot is left, and what is to know before it is taken. */
export function leftWords({ leftG, bestBefore, iodised }: StoredLot, today: string, as: Notation): string {
  return [
    `${formatIngredient(leftG, as, 0.1)} left`,
    ...(bestBefore && bestBefore < today ? [`best before ${formatDateInYear(bestBefore, as.dates)}`] : []),
    ...(iodised ? ['iodised'] : []),
  ].join(', ')
}

export const takeWords = (mix: StoredLot, agentG: number, readabilityG: number, as: Notation): string =>
  `Take ${formatIngredient(agentG, as, readabilityG)} of ${mix.name}: `
  + `${formatMeat(Math.max(0, mix.leftG - agentG), as)} will be left of ${formatMeat(mix.amountG, as)}. `
  + 'Stir it well before you take.'

/** What the weights come to as shares of green weight, and what to do with the mix. `firstShare` less than 1: the rest later. */
export function mixWords(plan: Plan, firstShare: number, readabilityG: number, as: Notation) {
  const share = (of: number) => formatPercent(of, as, 2)
  const grams = (massG: number) => formatIngredient(massG, as, readabilityG)
  return {
    salt: `Salt comes to ${share(plan.totalSaltShare)} in all, ${share(plan.addedSaltShare)} added; sugar ${share(plan.totalSugarShare)}`,
    /** Said with weight; empty where the sugar is usual. */
    sweet: plan.totalSugarShare > SAID_SUGAR_SHARE ? `over ${formatPercent(SAID_SUGAR_SHARE, as, 0)}` : '',
    share: `Mix evenly: ${grams(plan.mixG)}, shared by weight.`,
    rest: firstShare < 1 ? `The rest, ${grams(plan.mixG * (1 - firstShare))}, goes on later, as the plan says.` : '',
  }
}

import type { Plan } from '#core/plan/plan'
import type { LotSummary } from '#shared/contracts/lots'

/** The plan that some pieces of a lot follow: their own, where all of them share one. */
export const planOf = ({ plan, piecePlans }: Pick<LotSummary, 'plan' | 'piecePlans'>, ids: readonly number[]): Plan =>
  (piecePlans.find(own => ids.length > 0 && ids.every(id => own.pieces!.includes(id))) ?? plan).plan

import { agentFault, type Purpose } from '#core/agents/agent-fault'
import type { CuringAgent } from '#core/cure/agent'
import type { LotLimits } from '#core/rules/limits'
import { refuse, type Answer } from '../context'
import type { RowOf } from '../../db/table'
import type { ingredientLots } from '../../db/tables/store'
import { agentOf } from '../store/store-view'

/** A lot's agent, if it may be put on this meat by these limits; a refusal says why and what to use. Null when no agent is asked for. */
export function usableAgent(
  lot: RowOf<typeof ingredientLots> | undefined, q: { limits: LotLimits, purpose: Purpose, today: string, jurisdiction: string },
): Answer<CuringAgent | null> {
  const agent = lot ? agentOf(lot) : null
  if (!lot || !agent) return { ok: true, value: null }
  const fit = agentFault({
    kind: lot.agentKind ?? 'own', agent, name: `${lot.code} ${lot.name}`, certificate: lot.certificate, bestBefore: lot.bestBefore, today: q.today,
    purpose: q.purpose, nitrateMaxPpm: q.limits.nitrateMaxPpm, jurisdiction: q.jurisdiction,
  })
  return fit.ok ? { ok: true, value: agent } : refuse(fit.code, fit.params, ['agent', 'lotCode'])
}

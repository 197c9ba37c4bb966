import { isPastDate } from '../store/past-date'
import type { Ppm } from '../units/quantities'
import { fail, ok, type Result } from '../result'
import type { CuringAgent } from '../cure/agent'
import { agentType, type AgentKind } from './agent-kinds'

export const PURPOSES = ['bacon', 'dried'] as const
/** `bacon` is smoked or fried; `dried` is hung until it has lost 30 to 40 %. */
export type Purpose = (typeof PURPOSES)[number]

export type AgentCode
  = | 'agent_no_nitrite'
    | 'agent_no_certificate'
    | 'agent_expired'
    | 'agent_long_dried_only'
    | 'nitrate_refused'
    | 'mix_spiced_stored'

export interface AgentQuestion {
  kind: AgentKind
  agent: CuringAgent
  name: string
  certificate: string | null
  /** Day as text, "2026-11-23"; texts of one form compare as days do. */
  bestBefore: string | null
  today: string
  purpose: Purpose
  /** Day on which a bulk mix was made with seasonings in it; null for one without, and for what is no mix. */
  spicedOn: string | null
  /** Nitrate the rules allow here, ppm as NaNO3. */
  nitrateMaxPpm: Ppm
  jurisdiction: string
}

/**
 * Whether an agent may be put on this meat at all, before any weight. Every refusal says what to use instead (its words
 * do). Rules: no certificate, no ppm; no. 2 only for what is long dried; nitrate only where a row allows it; nitrite
 * mixed with spices is not stored (21 CFR 170.60). A mix is asked about as the kind of its agent.
 */
export function agentFault(q: AgentQuestion): Result<null, AgentCode> {
  const said = { name: q.name }
  if (q.certificate === null) return fail('agent_no_certificate', said)
  if (isPastDate(q, q.today)) return fail('agent_expired', { ...said, bestBefore: q.bestBefore! })
  if (q.spicedOn !== null && q.spicedOn !== q.today) return fail('mix_spiced_stored', { ...said, spicedOn: q.spicedOn })
  if (agentType(q.kind).use === 'long_dried' && q.purpose !== 'dried') return fail('agent_long_dried_only', said)
  if (q.agent.nitrateFraction > 0 && q.nitrateMaxPpm === 0) return fail('nitrate_refused', { ...said, jurisdiction: q.jurisdiction })
  if (!(q.agent.nitriteFraction > 0)) return fail('agent_no_nitrite', said)
  return ok(null)
}

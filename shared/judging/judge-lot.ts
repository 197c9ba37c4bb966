import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import type { CuringAgent } from '#core/cure/agent'
import { lotPpm, piecesPpm, type CureWeighed, type PieceWeighed } from '#core/cure/pieces-ppm'
import { advise, NO_ADVICE } from '#core/rules/advise'
import type { Cut, Rind } from '#core/rules/cuts'
import { judgeNitrite } from '#core/rules/judge-nitrite'
import { ruleFor, type RuleSet } from '#core/rules/rule-set'
import type { Judgement } from '../contracts/judgement'

export interface JudgeQuestion {
  rules: RuleSet
  cut: Cut
  rind: Rind
  confirmed: Judgement['confirmed']
  /** At least one. */
  pieces: readonly PieceWeighed[]
  meatReadabilityG: number
  mixReadabilityG: number
  /** Null for salt only. */
  agent: CuringAgent | null
  agentG: number
  mixG: number
}

/**
 * The whole verdict on a dry-cured lot, the same on the Bench, at the rub and after a correction.
 * Null when the rule set has no row for the cut: then nothing may be rubbed by it.
 */
export function judgeLot(q: JudgeQuestion): Judgement | null {
  const row = ruleFor(q.rules, q.cut, 'dry', q.rind)
  if (!row) return null
  const limits = { floorPpm: q.rules.floorPpm, maxPpm: row.maxPpm }
  const cure: CureWeighed | null = q.agent && { ...q, agent: q.agent }
  const lot = cure && lotPpm(cure)
  const status = judgeNitrite(lot, limits)
  return {
    status, cut: q.cut, rind: q.rind, lot, pieces: cure ? piecesPpm(cure) : [],
    row, floorPpm: q.rules.floorPpm, floorSource: q.rules.floorSource,
    jurisdiction: q.rules.jurisdiction, ruleTextDate: q.rules.textDate, confirmed: q.confirmed,
    advice: cure ? advise(cure, limits, status) : NO_ADVICE,
    arithmetic: ARITHMETIC_VERSION,
  }
}

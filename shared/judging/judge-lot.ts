import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { nitrateShare, type CuringAgent } from '#core/cure/agent'
import { legalMethod, type CureMethod } from '#core/cure/cure-method'
import { lotPpm, meaningOfCure, piecesPpm, type CureWeighed, type PieceWeighed } from '#core/cure/pieces-ppm'
import { advise, NO_ADVICE } from '#core/rules/advise'
import type { Cut, Rind } from '#core/rules/cuts'
import type { HouseLimits } from '#core/rules/house'
import { judgeNitrite } from '#core/rules/judge-nitrite'
import { limitsFor } from '#core/rules/limits'
import type { RuleSet } from '#core/rules/rule-set'
import { type Grams, PPM_PER_UNIT } from '#core/units/quantities'
import type { Judgement } from '../contracts/judgement'

export interface JudgeQuestion {
  rules: RuleSet
  cut: Cut
  rind: Rind
  method: CureMethod
  choiceId?: string | null
  house?: HouseLimits
  confirmed: Judgement['confirmed']
  /** At least one. */
  pieces: readonly PieceWeighed[]
  meatReadabilityG: Grams
  mixReadabilityG: Grams
  /** Null for salt only. */
  agent: CuringAgent | null
  agentG: Grams
  agentReadings?: number
  mixG: Grams
  weighedBackG?: Grams
  waterG?: Grams
  afterG?: Grams | null
  mostPickUp?: number
}

/**
 * The whole verdict on a lot, the same on the Bench, at the rub and after a correction.
 * Null when the rule set has no row for the cut: then nothing may be rubbed by it.
 */
export function judgeLot(q: JudgeQuestion): Judgement | null {
  const limits = limitsFor({
    rules: q.rules,
    cut: q.cut,
    method: legalMethod(q.method),
    rind: q.rind,
    choiceId: q.choiceId ?? null,
    ...(q.house ? { house: q.house } : {}),
  })
  if (!limits) return null
  const cure: CureWeighed | null = q.agent && { ...q, agent: q.agent }
  const lot = cure && lotPpm(cure)
  const meaning = cure ? meaningOfCure(cure) : 'none'
  const status = judgeNitrite(lot, limits, meaning)
  const greenG = q.pieces.reduce((sum, piece) => sum + piece.massG, 0)
  return {
    status,
    cut: q.cut,
    rind: q.rind,
    method: q.method,
    meaning,
    lot,
    pieces: cure ? piecesPpm(cure) : [],
    row: limits.row,
    maxPpm: limits.maxPpm,
    floorPpm: limits.floorPpm,
    floorSource: limits.floorSource,
    house: limits.house,
    residual: q.agent ? [...limits.residual] : [],
    nitrate:
      q.agent && q.agent.nitrateFraction > 0
        ? { ppm: (PPM_PER_UNIT * q.agentG * nitrateShare(q.agent)) / greenG, maxPpm: limits.nitrateMaxPpm }
        : null,
    ruleSetId: q.rules.id,
    jurisdiction: q.rules.jurisdiction,
    ruleTextDate: q.rules.textDate,
    confirmed: q.confirmed,
    advice: cure ? advise(cure, limits, status) : NO_ADVICE,
    arithmetic: ARITHMETIC_VERSION,
  }
}

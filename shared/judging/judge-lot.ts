import { ARITHMETIC_VERSION } from '#core/arithmetic-version'
import { nitrateShare, type CuringAgent } from '#core/cure/agent'
import { legalMethod, type CureMethod } from '#core/cure/cure-method'
import type { CureWeighed, PieceWeighed, PutWeighed } from '#core/cure/cure-weighed'
import { loadsPpm, piecesPpm } from '#core/cure/pieces-ppm'
import { putsOf } from '#core/cure/puts'
import { advise, NO_ADVICE } from '#core/rules/advise'
import type { Cut, Rind } from '#core/rules/cuts'
import type { HouseLimits } from '#core/rules/house'
import { judgeNitrite, worstVerdict } from '#core/rules/judge-nitrite'
import { limitsFor } from '#core/rules/limits'
import type { RuleSet } from '#core/rules/rule-set'
import { sumOf } from '#core/lists/sum-of'
import { type Grams, PPM_PER_UNIT, type Ppm } from '#core/units/quantities'
import type { Judgement } from '../contracts/judgement'

export interface JudgeQuestion {
  rules: RuleSet
  cut: Cut
  rind: Rind
  method: CureMethod
  choiceId?: string | null
  house?: HouseLimits
  confirmed: Judgement['confirmed']
  /** Pieces weighed, at least one. */
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
  /** What went on after the rub. */
  adds?: readonly PutWeighed[]
  /** Places of pieces on which nitrite went that nobody weighed. */
  unweighed?: readonly number[]
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
  const verdicts = cure
    ? loadsPpm(cure).map(load => ({ ...load, status: judgeNitrite(load.got, limits, load.meaning) }))
    : []
  const worst = verdicts.length ? worstVerdict(verdicts) : null
  const status = worst?.status ?? 'no_nitrite'
  const greenG = sumOf(q.pieces, piece => piece.massG)
  return {
    status,
    cut: q.cut,
    rind: q.rind,
    method: q.method,
    meaning: worst?.meaning ?? 'none',
    lot: worst?.got ?? null,
    ...(worst?.pieces ? { decides: worst.pieces.map(i => i + 1) } : {}),
    pieces: cure ? piecesPpm(cure) : [],
    row: limits.row,
    maxPpm: limits.maxPpm,
    floorPpm: limits.floorPpm,
    floorSource: limits.floorSource,
    house: limits.house,
    residual: q.agent ? [...limits.residual] : [],
    nitrate: nitrateOf(cure, greenG, limits.nitrateMaxPpm),
    ruleSetId: q.rules.id,
    jurisdiction: q.rules.jurisdiction,
    ruleTextDate: q.rules.textDate,
    confirmed: q.confirmed,
    // What lies on the meat is not taken off again.
    advice: cure && !q.adds?.length && !q.unweighed?.length ? advise(cure, limits, status) : NO_ADVICE,
    arithmetic: ARITHMETIC_VERSION,
  }
}

/** All nitrate over all meat, as NaNO3; null where none went on. */
function nitrateOf(cure: CureWeighed | null, greenG: Grams, maxPpm: Ppm): Judgement['nitrate'] {
  const nitrateG = cure ? sumOf(putsOf(cure), put => put.agentG * nitrateShare(put.agent)) : 0
  return nitrateG > 0 ? { ppm: (PPM_PER_UNIT * nitrateG) / greenG, maxPpm } : null
}
